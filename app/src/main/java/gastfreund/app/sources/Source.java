package gastfreund.app.sources;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * From where a guest came: at most 60 characters of {@code a-z 0-9 . _ -}. It is the word in the address ({@code from}), or else
 * the host of the page that led here, if it is another than our own.
 */
public final class Source {

    /** The field of an address that names it. */
    public static final String FIELD = "from";

    /** The attribute of a request of which it is known already. */
    public static final String ATTRIBUTE = Source.class.getName();

    /** Nobody knows. */
    public static final String NONE = "";

    private static final int MOST = 60;
    private static final Pattern OTHER = Pattern.compile("[^a-z0-9._-]++");

    private Source() {}

    /** As it is kept: lower-cased, without what does not belong into it; empty where nothing is left. */
    public static String of(@Nullable String said) {
        if (said == null) {
            return NONE;
        }
        String plain = OTHER.matcher(said.toLowerCase(Locale.ROOT)).replaceAll("");
        return plain.length() <= MOST ? plain : plain.substring(0, MOST);
    }

    /** What a request says of it. */
    public static String of(HttpServletRequest request) {
        if (request.getAttribute(ATTRIBUTE) instanceof String known) {
            return known;
        }
        String said = of(request.getParameter(FIELD));
        return said.isEmpty() ? before(request) : said;
    }

    private static String before(HttpServletRequest request) {
        String referer = request.getHeader("Referer");
        if (referer == null) {
            return NONE;
        }
        try {
            String host = URI.create(referer).getHost();
            return host == null || host.equalsIgnoreCase(request.getServerName()) ? NONE : of(host);
        } catch (IllegalArgumentException e) {
            return NONE;
        }
    }
}
