package gastfreund.app.tracing;

import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;

/**
 * What a request is called: eight letters and digits that nobody mistakes for one another, in two halves, so that somebody
 * can read it out on the telephone. It is made here and never taken from whoever asks.
 */
public final class RequestId {

    /** Under this name it stands in the log; structured logs make the field of the Elastic Common Schema of it. */
    static final String LOGGED = "http.request.id";

    static final String HEADER = "X-Request-Id";

    private static final String ATTRIBUTE = "gastfreund.request";
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int HALF = 4;
    private static final SecureRandom RANDOM = new SecureRandom();

    private RequestId() {}

    static String next() {
        StringBuilder id = new StringBuilder(2 * HALF + 1);
        for (int i = 0; i < 2 * HALF; i++) {
            if (i == HALF) {
                id.append('-');
            }
            id.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return id.toString();
    }

    static void name(HttpServletRequest request, String id) {
        request.setAttribute(ATTRIBUTE, id);
    }

    /** The one of a request; empty where it came in no way that has them. */
    public static String of(HttpServletRequest request) {
        return request.getAttribute(ATTRIBUTE) instanceof String id ? id : "";
    }
}
