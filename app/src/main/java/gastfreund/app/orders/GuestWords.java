package gastfreund.app.orders;

import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** How guests are looked for: by the beginnings of words of their names, addresses and numbers, in any order. */
public final class GuestWords {

    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]++");

    private GuestWords() {}

    /** A query of the full-text index of guests; empty where nothing was typed that could be found. */
    public static String match(String typed) {
        return BETWEEN.splitAsStream(typed)
                .filter(w -> !w.isEmpty())
                .map(w -> "\"" + w + "\"*")
                .collect(Collectors.joining(" "));
    }
}
