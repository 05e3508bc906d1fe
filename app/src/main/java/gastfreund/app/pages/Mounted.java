package gastfreund.app.pages;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;

/**
 * A request as it looks to an application that is mounted under a path: every link that is made for its answer, and every
 * redirect, stays under that path, whether a proxy takes it away or not.
 */
public final class Mounted extends HttpServletRequestWrapper {

    private final String mount;
    private final String path;
    private final String decoded;

    private Mounted(HttpServletRequest request, String mount, String path, String decoded) {
        super(request);
        this.mount = mount;
        this.path = path;
        this.decoded = decoded;
    }

    /**
     * Under a further path.
     *
     * @param mount begins with a slash and ends without one; what the request's path begins with is taken from it
     */
    public static Mounted under(HttpServletRequest request, String mount) {
        return under(request, mount, mount);
    }

    /**
     * The same for a request whose path begins otherwise than its links are to begin.
     *
     * @param begins what its path begins with, perhaps; empty: it has nothing of it
     */
    public static Mounted under(HttpServletRequest request, String begins, String mount) {
        return new Mounted(
                request,
                request.getContextPath() + mount,
                without(pathOf(request), begins),
                without(request.getServletPath(), begins));
    }

    /** What of a path is the application's own: it begins with a slash. */
    private static String without(String path, String mount) {
        boolean inside = !mount.isEmpty() && (path.equals(mount) || path.startsWith(mount + "/"));
        String own = inside ? path.substring(mount.length()) : path;
        return own.isEmpty() ? "/" : own;
    }

    /** The path of a request as it was written, without where the application is mounted. */
    public static String pathOf(HttpServletRequest request) {
        return request.getRequestURI().substring(request.getContextPath().length());
    }

    @Override
    public String getContextPath() {
        return mount;
    }

    @Override
    public String getRequestURI() {
        return mount + path;
    }

    @Override
    public StringBuffer getRequestURL() {
        String whole = super.getRequestURL().toString();
        int end = whole.indexOf('/', whole.indexOf("://") + 3);
        return new StringBuffer(end < 0 ? whole : whole.substring(0, end)).append(getRequestURI());
    }

    @Override
    public String getServletPath() {
        return decoded;
    }
}
