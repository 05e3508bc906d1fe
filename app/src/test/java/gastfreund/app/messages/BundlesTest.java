package gastfreund.app.messages;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Properties;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every text is in every language. */
class BundlesTest {

    private static final Pattern KEY = Pattern.compile("(?:#\\{|msg\\(')([a-z][a-zA-Z0-9.-]*[a-zA-Z0-9])(?=[('}])");

    private static Properties bundle(String name) throws IOException {
        Properties properties = new Properties();
        try (var in = BundlesTest.class.getResourceAsStream(name)) {
            properties.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        }
        return properties;
    }

    @Test
    void bothLanguagesHaveTheSameTextsWithTheSamePlaces() throws IOException {
        Properties english = bundle("/messages.properties");
        Properties german = bundle("/messages_de.properties");
        assertThat(new TreeSet<>(german.stringPropertyNames())).isEqualTo(new TreeSet<>(english.stringPropertyNames()));
        for (String key : english.stringPropertyNames()) {
            int places = new MessageFormat(english.getProperty(key)).getFormatsByArgumentIndex().length;
            assertThat(new MessageFormat(german.getProperty(key)).getFormatsByArgumentIndex())
                    .as(key)
                    .hasSize(places);
        }
    }

    @Test
    void everyTextThatATemplateNamesIsThere() throws IOException {
        Properties english = bundle("/messages.properties");
        try (Stream<Path> templates = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path template : templates.filter(Files::isRegularFile).toList()) {
                Matcher keys = KEY.matcher(Files.readString(template));
                while (keys.find()) {
                    assertThat(english.stringPropertyNames())
                            .as("%s in %s", keys.group(1), template)
                            .contains(keys.group(1));
                }
            }
        }
    }
}
