package gastfreund.app.typed;

import java.util.regex.Pattern;

/** Mail addresses as mail servers take them. */
public final class MailAddress {

    /** What stands between the dots before the @. */
    private static final String ATOM = "[A-Za-z0-9!#$%&'*+/=?^_`{|}~-]++";

    /** Blanks at the ends do not matter. */
    public static final String REGEX =
            "\\s*+" + ATOM + "(?:\\." + ATOM + ")*+@(?:[\\p{L}\\p{N}-]{1,63}+\\.)++\\p{L}{2,63}+\\s*+";

    private static final Pattern ONE = Pattern.compile("\\A(?:" + REGEX + ")\\z");
    private static final int MOST = 254;

    private MailAddress() {}

    public static boolean isOne(String text) {
        return text.length() <= MOST && ONE.matcher(text).matches();
    }
}
