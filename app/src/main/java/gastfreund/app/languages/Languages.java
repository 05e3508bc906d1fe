package gastfreund.app.languages;

import java.util.List;
import java.util.Locale;

/** The languages in which the application speaks: whatever a visitor asks for, it is one of them. */
public final class Languages {

    /** The attribute of a request whose path asks for a language, a tag or empty; nothing is remembered of such. */
    public static final String ASKED = "asked-language";

    private static final List<Locale> SPOKEN = List.of(Locale.ENGLISH, Locale.GERMAN);

    public static List<Locale> all() {
        return SPOKEN;
    }

    /** The language that is spoken with somebody who would like to hear another. */
    public static Locale spoken(Locale wanted) {
        return SPOKEN.stream()
                .filter(l -> l.getLanguage().equals(wanted.getLanguage()))
                .findFirst()
                .orElse(Locale.ENGLISH);
    }

    private Languages() {}
}
