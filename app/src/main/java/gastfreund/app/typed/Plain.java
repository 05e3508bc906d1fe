package gastfreund.app.typed;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/** Text without case and accents, for whoever looks for it or makes an id of it: {@code Töpferstraße} is {@code topferstrasse}. */
public final class Plain {

    private static final Pattern MARKS = Pattern.compile("\\p{M}");

    private Plain() {}

    public static String of(String text) {
        String apart = Normalizer.normalize(text.toLowerCase(Locale.ROOT).replace("\u00df", "ss"), Normalizer.Form.NFD);
        return MARKS.matcher(apart).replaceAll("");
    }
}
