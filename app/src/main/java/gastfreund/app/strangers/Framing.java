package gastfreund.app.strangers;

import jakarta.servlet.http.HttpServletRequest;

/** Who may have a page in a frame: nobody, unless something before all else has said who. */
public final class Framing {

    /** The attribute of a request that says so, as the policy of a page does ({@code frame-ancestors}). */
    public static final String ATTRIBUTE = Framing.class.getName();

    private static final String NOBODY = "'none'";

    private Framing() {}

    static String of(HttpServletRequest request) {
        return request.getAttribute(ATTRIBUTE) instanceof String said ? said : NOBODY;
    }

    static boolean isForbidden(HttpServletRequest request) {
        return of(request).equals(NOBODY);
    }
}
