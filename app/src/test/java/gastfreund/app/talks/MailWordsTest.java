package gastfreund.app.talks;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What somebody wrote in a mail is told from what they answered to. */
class MailWordsTest {

    @Test
    void aQuotationAtTheEndAndTheLineThatIntroducesItAreLeftOut() {
        assertThat(MailWords.own(
                        "Yes, gladly.\r\n\r\nAnna\r\n\r\nOn Monday Okka wrote:\r\n> May we?\r\n>\r\n> Okka\r\n"))
                .isEqualTo("Yes, gladly.\n\nAnna");
        assertThat(MailWords.own("> At ten?\nNo, at eleven:\nthat is better"))
                .as("what is answered between the lines stays")
                .isEqualTo("> At ten?\nNo, at eleven:\nthat is better");
        assertThat(MailWords.own("We come at:\n\n")).as("nothing is quoted").isEqualTo("We come at:");
        assertThat(MailWords.own("> only quoted\n")).isEmpty();
    }

    @Test
    void controlCharactersAndManyBlankLinesGo() {
        assertThat(MailWords.own("a\u0000b\u001b[31m\n\n\n\n\nc")).isEqualTo("ab[31m\n\nc");
    }

    @Test
    void htmlBecomesItsText() {
        assertThat(MailWords.own(MailWords.ofHtml("<style>p{}</style><p>Dear <b>Okka</b>,</p><p>we  come<br>late.</p>"
                        + "<script>alert(1)</script><blockquote>Your booking</blockquote>")))
                .isEqualTo("Dear Okka,\n\nwe come\nlate.");
    }
}
