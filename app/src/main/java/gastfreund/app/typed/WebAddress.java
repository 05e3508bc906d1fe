package gastfreund.app.typed;

import java.net.URI;

/** Addresses of pages that a browser opens. */
public final class WebAddress {

    private WebAddress() {}

    /** Whether it is a whole address, with its host, that begins with {@code https://} or {@code http://}. */
    public static boolean isOne(String text) {
        try {
            URI uri = URI.create(text);
            return ("https".equals(uri.getScheme()) || "http".equals(uri.getScheme())) && uri.getHost() != null;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
