package gastfreund.app.markup;

import static org.assertj.core.api.Assertions.assertThat;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written into markup stays what it is, whatever it looks like. */
class MarkupTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "T. Rehn",
                "\"><script>alert(1)</script>",
                "' onload='x",
                "a & b &amp; c",
                "</text></svg>",
                "<!-- ",
                "\u00e9\u2009\u20ac \ud83c\udffa",
                "&#39;&lt;"
            })
    void valuesAndTextsAreReadAsTheyWereWritten(String said) {
        String markup = new Markup()
                .open("a", "href", "/desk", "aria-label", said)
                .said(said, "b", "class", said)
                .close("a")
                .toString();
        Element link = Jsoup.parse(markup).body().child(0);
        assertThat(Jsoup.parse(markup).body().childrenSize()).isEqualTo(1);
        assertThat(link.attr("aria-label")).isEqualTo(said);
        assertThat(link.child(0).wholeText()).isEqualTo(said);
        assertThat(link.child(0).attr("class")).isEqualTo(said);
        assertThat(link.attributesSize()).isEqualTo(2);
    }

    @Test
    void whatHasNoValueIsLeftOut() {
        assertThat(new Markup()
                        .empty("rect", "x", 3, "rx", null, "class", "free")
                        .toString())
                .isEqualTo("<rect x=\"3\" class=\"free\"></rect>");
    }
}
