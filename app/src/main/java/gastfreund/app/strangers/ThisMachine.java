package gastfreund.app.strangers;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Set;

/** Requests that call this machine by one of the names that only it has for itself. */
public final class ThisMachine {

    private static final Set<String> NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1", "0:0:0:0:0:0:0:1");

    private ThisMachine() {}

    public static boolean isNamed(HttpServletRequest request) {
        return NAMES.contains(request.getServerName());
    }
}
