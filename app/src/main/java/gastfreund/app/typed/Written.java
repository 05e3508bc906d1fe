package gastfreund.app.typed;

import java.util.regex.Pattern;

/** What people write into fields, made fit to be kept. */
public final class Written {

    private static final Pattern GAPS = Pattern.compile("[\\p{Cntrl}\\s\\u0085\\u2028\\u2029]++");

    private Written() {}

    /** On one line, without blanks at its ends, and no longer than {@code most} characters; null is nothing. */
    public static String line(String text, int most) {
        return cut(text == null ? "" : GAPS.matcher(text).replaceAll(" ").strip(), most);
    }

    /** Without blanks at its ends, and no longer than {@code most} characters; null is nothing. */
    public static String text(String text, int most) {
        return cut(text == null ? "" : text.strip(), most);
    }

    private static String cut(String text, int most) {
        if (text.length() <= most) {
            return text;
        }
        boolean between = Character.isHighSurrogate(text.charAt(most - 1));
        return text.substring(0, between ? most - 1 : most);
    }
}
