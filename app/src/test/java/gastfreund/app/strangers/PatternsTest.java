package gastfreund.app.strangers;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import gastfreund.app.WrittenByUs;
import java.lang.annotation.Annotation;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** No pattern makes long texts dear: each looks at every character a few times at most, wherever it is found in the code. */
@Tag("siege")
class PatternsTest {

    private static final int LENGTH = 60_000;

    /** How often a pattern may look at each character. */
    private static final int LOOKS = 64;

    private static final List<String> AWKWARD = List.of(
            " ",
            "a",
            "1",
            "-",
            ".",
            "/",
            "\n",
            "\r\n",
            "@",
            "a@",
            "a.",
            "1.",
            " 1",
            "()",
            "\u00e4",
            "A1",
            "www.",
            "://",
            "\n ",
            "\n \n",
            "0-",
            "+",
            "T",
            "2027-",
            "\u2028",
            "\ud83c\udffa",
            "a@a.",
            "x.co",
            "_",
            "%");

    private static final class TooMuchException extends RuntimeException {}

    /** A pattern, and whether a whole text must fit it. */
    private record Found(Pattern pattern, boolean whole) {}

    /** A text that counts how often somebody looks at one of its characters. */
    private static final class Counted implements CharSequence {

        private final String text;
        private final long[] looks;

        Counted(String text, long[] looks) {
            this.text = text;
            this.looks = looks;
        }

        @Override
        public int length() {
            return text.length();
        }

        @Override
        public char charAt(int index) {
            if (++looks[0] > (long) LOOKS * LENGTH) {
                throw new TooMuchException();
            }
            return text.charAt(index);
        }

        @Override
        public CharSequence subSequence(int start, int end) {
            return new Counted(text.substring(start, end), looks);
        }

        @Override
        public String toString() {
            return text;
        }
    }

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(new WrittenByUs())
            .importPackages("gastfreund.app", "gastfreund.core", "gastfreund.housefile");

    /** Every pattern that a field or an annotation holds, by where it stands. */
    private static Map<String, Found> patterns() throws IllegalAccessException {
        Map<String, Found> patterns = new LinkedHashMap<>();
        for (JavaClass found : CLASSES) {
            Class<?> type = found.reflect();
            for (Field field : type.getDeclaredFields()) {
                if (field.getType() == Pattern.class && Modifier.isStatic(field.getModifiers())) {
                    field.setAccessible(true);
                    patterns.put(
                            type.getSimpleName() + "." + field.getName(), new Found((Pattern) field.get(null), false));
                }
                for (Annotation annotation : field.getAnnotations()) {
                    if (annotation instanceof jakarta.validation.constraints.Pattern pattern) {
                        patterns.put(
                                type.getSimpleName() + "." + field.getName(),
                                new Found(Pattern.compile(pattern.regexp()), true));
                    }
                }
            }
        }
        return patterns;
    }

    @Test
    void noneLooksAtALongTextMoreThanAFewTimes() throws IllegalAccessException {
        Map<String, Found> patterns = patterns();
        assertThat(patterns)
                .containsKeys("Contact.phone", "Contact.email", "Names.AWAY", "Formats.AMOUNT")
                .hasSizeGreaterThan(15);
        List<String> dear = new ArrayList<>();
        patterns.forEach((where, found) -> {
            for (String piece : AWKWARD) {
                for (String end : List.of("", "!", "\n")) {
                    try {
                        tried(found, piece.repeat(LENGTH / piece.length()) + end);
                    } catch (TooMuchException e) {
                        dear.add(where + " with many \"" + piece + "\"");
                    }
                }
            }
        });
        assertThat(dear).isEmpty();
    }

    private static void tried(Found found, String text) {
        found.pattern().matcher(new Counted(text, new long[1])).matches();
        Matcher anywhere = found.pattern().matcher(new Counted(text, new long[1]));
        while (!found.whole() && anywhere.find()) {
            anywhere.end();
        }
    }

    /** A pattern that is written where it is used is made anew each time, and no test finds it. */
    @Test
    void patternsStandInFields() {
        noClasses()
                .should()
                .callMethod(String.class, "matches", String.class)
                .orShould()
                .callMethod(String.class, "replaceAll", String.class, String.class)
                .orShould()
                .callMethod(String.class, "replaceFirst", String.class, String.class)
                .orShould()
                .callMethod(Pattern.class, "matches", String.class, CharSequence.class)
                .check(CLASSES);
    }
}
