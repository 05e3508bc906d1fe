package gastfreund.app.strangers;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;

/** Who may have a page in a frame: nobody, unless something before all else has said who. */
public final class Framing {

    /** The attribute of a request that says so, as the policy of a page does ({@code frame-ancestors}). */
    public static final String ATTRIBUTE = Framing.class.getName();

    /** The header of a page's policy. */
    static final String POLICY = "Content-Security-Policy";

    private static final String NOBODY = "'none'";

    private Framing() {}

    /**
     * Lets a page show others in frames: those of this house, and some more.
     *
     * @param others their origins, separated by blanks; empty: none
     */
    public static void show(HttpServletResponse response, String others) {
        response.setHeader(POLICY, response.getHeader(POLICY) + "; frame-src 'self' " + others);
    }

    static String of(HttpServletRequest request) {
        return request.getAttribute(ATTRIBUTE) instanceof String said ? said : NOBODY;
    }

    static boolean isForbidden(HttpServletRequest request) {
        return of(request).equals(NOBODY);
    }
}
