package gastfreund.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A template shows what a handler has made for it: it calls no class, no bean and no service. */
class TemplatesTest {

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Pattern STATIC_OR_BEAN = Pattern.compile("\\bT\\(|\\$\\{[^}\\n]*@[a-z]\\w*\\.|\\bnew [A-Z]");
    private static final Pattern ADDED = Pattern.compile("addAttribute\\(\\s*\"(\\w+)\"");

    /** The page's value, where it is to be shared as, and what the page of an error says. */
    private static final Set<String> ONE = Set.of("page", "shareAs", "said");

    private static final Pattern GIVEN = Pattern.compile("addAttribute\\(\\s*\"\\w+\",\\s*(\\w+)\\)");
    private static final Pattern FIELD = Pattern.compile("private final (\\w+) (\\w+);");

    @Test
    void noTemplateCallsAClassOrABean() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path template : all(TEMPLATES)) {
            Matcher calls = STATIC_OR_BEAN.matcher(Files.readString(template));
            while (calls.find()) {
                found.add(template + ": " + calls.group());
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void noHandlerGivesAServiceToAPage() throws IOException {
        Set<String> found = new TreeSet<>();
        for (Path source : all(Path.of("src/main/java"))) {
            String code = Files.readString(source);
            Set<String> fields = new TreeSet<>();
            FIELD.matcher(code).results().forEach(f -> fields.add(f.group(2)));
            GIVEN.matcher(code)
                    .results()
                    .filter(given -> fields.contains(given.group(1)))
                    .forEach(given -> found.add(source.getFileName() + ": " + given.group(1)));
        }
        assertThat(found).isEmpty();
    }

    /** What a page shows is one value, made in one place; what all pages share is given to them by an advice. */
    @Test
    void aHandlerGivesItsPageOneValue() throws IOException {
        Set<String> found = new TreeSet<>();
        for (Path source : all(Path.of("src/main/java"))) {
            if (!source.getFileName().toString().endsWith("Advice.java")) {
                ADDED.matcher(Files.readString(source))
                        .results()
                        .filter(added -> !ONE.contains(added.group(1)))
                        .forEach(added -> found.add(source.getFileName() + ": " + added.group(1)));
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void noTemplateDecidesByTheNameOfAStateOrByTheAddress() throws IOException {
        assertThat(found(Pattern.compile("(?:name|code)\\(\\) [!=]=|\\bparam\\.|status [!=]= '")))
                .isEmpty();
    }

    /** The house may lie under a path: only a link knows it. Letters have whole addresses; numbers and maps are no pages. */
    @Test
    void everyAddressIsALink() throws IOException {
        assertThat(found(Pattern.compile(
                        "th:(?:href|src|action|formaction)=\"(?!@|~)\\$\\{(?!order\\.contact|place\\.map|shareAs|other\\.address"
                                + "|page\\.picture|page\\.link|page\\.house|page\\.preview)[^\"]*+")))
                .filteredOn(f -> !f.startsWith("messages/"))
                .isEmpty();
    }

    @Test
    void fieldsAreDrawnInOnePlace() throws IOException {
        assertThat(found(Pattern.compile("aria-invalid=")))
                .containsExactlyInAnyOrder(
                        // A code with its button, and an amount beside a choice, look like no other field.
                        "baskets/basket.html: aria-invalid=",
                        "vouchers/offer.html: aria-invalid=",
                        "pages/fields.html: aria-invalid=");
    }

    private static Set<String> found(Pattern pattern) throws IOException {
        Set<String> found = new TreeSet<>();
        for (Path template : all(TEMPLATES)) {
            pattern.matcher(Files.readString(template))
                    .results()
                    .forEach(m -> found.add(TEMPLATES.relativize(template) + ": " + m.group()));
        }
        return found;
    }

    private static List<Path> all(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile).toList();
        }
    }
}
