package gastfreund.app.languages;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * The languages in which the application speaks: whatever a visitor asks for, it is one of them. English and German are in the
 * bundles of the rooms; another is one file, {@code texts/whole_XX.properties}, which says what it says and leaves the rest to
 * English.
 */
public final class Languages {

    /** The attribute of a request whose path asks for a language, a tag or empty; nothing is remembered of such. */
    public static final String ASKED = "asked-language";

    private static final String BEGINS = "whole_";
    private static final String ENDS = ".properties";

    private static final List<Locale> SPOKEN = spoken();

    public static List<Locale> all() {
        return SPOKEN;
    }

    private static List<Locale> spoken() {
        List<Locale> spoken = new ArrayList<>(List.of(Locale.ENGLISH, Locale.GERMAN));
        try {
            Arrays.stream(new PathMatchingResourcePatternResolver()
                            .getResources("classpath*:texts/" + BEGINS + "*" + ENDS))
                    .map(Resource::getFilename)
                    .map(String::valueOf)
                    .map(name -> name.substring(BEGINS.length(), name.length() - ENDS.length()))
                    .map(tag -> Locale.forLanguageTag(tag.replace('_', '-')))
                    .sorted((a, b) -> a.toLanguageTag().compareTo(b.toLanguageTag()))
                    .filter(l -> !spoken.contains(l))
                    .forEach(spoken::add);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return List.copyOf(spoken);
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
