package gastfreund.app.strangers;

import jakarta.servlet.http.HttpServletRequest;
import java.util.UUID;

/** How the house's own looks at its pages are known, so that nobody is counted for them: by a secret as old as this process. */
public final class OwnLook {

    public static final String HEADER = "Own-Look";

    private static final String SECRET = UUID.randomUUID().toString();

    private OwnLook() {}

    /** What stands in the header. */
    public static String secret() {
        return SECRET;
    }

    static boolean is(HttpServletRequest request) {
        return SECRET.equals(request.getHeader(HEADER));
    }
}
