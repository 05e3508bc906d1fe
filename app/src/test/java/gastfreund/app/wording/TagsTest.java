package gastfreund.app.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tags in letters: those that there are, closed, and without logic. */
class TagsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Hello {{guest}} | ''",
                "{{#left}}{{left}}{{/left}}{{^left}}paid{{/left}} | ''",
                "No tags at all, {not} one | ''",
                "{{gust}} | has the unknown tag {{gust}}",
                "{{#left}}{{wrong}}{{/left}} | has the unknown tag {{wrong}}",
                "{{#left}}open | must have tags that are closed",
                "{{/left}} | must have tags that are closed",
                "{{> guest}} | has the unknown tag {{>guest}}",
                "{{{guest}}} | ''"
            })
    void whatIsWrongIsToldWhenItIsKept(String text, String wrong) {
        assertThat(Tags.wrong(text).orElse("")).isEqualTo(wrong);
    }

    @Test
    void aSectionIsSaidOnlyWhereThereIsSomethingOfIt() {
        String text = "{{#left}}Left: {{left}}.{{/left}}{{^left}}All is paid.{{/left}} {{reason}}";
        assertThat(Tags.filled(text, Map.of("left", "5 €"))).isEqualTo("Left: 5 €. ");
        assertThat(Tags.filled(text, Map.of("left", ""))).isEqualTo("All is paid. ");
        assertThat(Tags.filled("{{guest}}", Map.of("guest", "<{{left}}>"))).isEqualTo("<{{left}}>");
    }
}
