package gastfreund.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Formatted text is paragraphs, headings, lists, bold, italic and links, and nothing else. */
class MarkdownTest {

    @Test
    void whatIsMeantComesOut() {
        assertThat(Markdown.html(
                        "# The mill\n\nWe throw **bowls** and *cups*.\n\n- wheels\n- kilns\n\n1. look\n2. touch"))
                .contains(
                        "<h2>The mill</h2>",
                        "<strong>bowls</strong>",
                        "<em>cups</em>",
                        "<ul>",
                        "<li>kilns</li>",
                        "<ol>");
        assertThat(Markdown.html("[to us](https://house.example/way?a=1&b=2)"))
                .contains("https://house.example/way?a&#61;1&amp;b&#61;2", "nofollow", "noopener", ">to us</a>");
        assertThat(Markdown.html("one\ntwo")).contains("one<br");
        assertThat(Markdown.html("  \n")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<img src=x onerror=alert(1)>",
                "[x](javascript:alert(1))",
                "[x](data:text/html,1)",
                "![x](https://elsewhere.example/x.png)",
                "<a href=\"https://x.example\" onclick=\"alert(1)\">x</a>",
                "<style>p { color: red }</style>",
                "<iframe src=https://x.example></iframe>"
            })
    void whatCouldDoHarmDoesNot(String typed) {
        assertThat(Markdown.html(typed))
                .doesNotContainPattern("<(script|img|style|iframe)")
                .doesNotContainPattern("<[^>]*(onclick|onerror|javascript:|data:)");
    }
}
