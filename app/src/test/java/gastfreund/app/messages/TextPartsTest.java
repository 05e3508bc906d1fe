package gastfreund.app.messages;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.typed.Telephone;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In how many parts a text message goes, and to which numbers. */
class TextPartsTest {

    @ParameterizedTest
    @CsvSource({
        "a, 160, 1, 160", "a, 161, 2, 306", "a, 306, 2, 306", "a, 307, 3, 459", "ö, 160, 1, 160", "€, 80, 1, 160",
        "€, 81, 2, 306", "ж, 70, 1, 70", "ж, 71, 2, 134", "ж, 135, 3, 201", "’, 71, 2, 134", "a, 0, 1, 160"
    })
    void partsAreCountedByTheAlphabet(String character, int times, int parts, int most) {
        TextParts counted = TextParts.of(character.repeat(times));
        assertThat(counted.count()).isEqualTo(parts);
        assertThat(counted.most()).isEqualTo(most);
    }

    @Test
    void oneCharacterOfAnotherAlphabetMakesAllOfItWider() {
        assertThat(TextParts.of("a".repeat(70)).plain()).isTrue();
        assertThat(TextParts.of("a".repeat(70) + "ж")).isEqualTo(new TextParts(2, 71, 134, false));
    }

    @Test
    void signsOfGoodPrintingAreMadePlain() {
        String plain =
                TextParts.plain("Today, 13:00\u2009\u2013\u200914:00 \u00b7 Mira\u2019s \u201ewheel\u201d\u2026");
        assertThat(plain).isEqualTo("Today, 13:00 - 14:00 , Mira's \"wheel\"...");
        assertThat(TextParts.of(plain).plain()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "0151 23456789, DE, +4915123456789",
        "+49 (0)151-234 567 89, '', +4915123456789",
        "00447400123456, DE, +447400123456",
        "07400 123456, GB, +447400123456",
        "030 5550100, DE, ''",
        "0800 1234567, DE, ''",
        "12, DE, ''",
        "0151 23456789, '', ''",
        "hello, DE, ''"
    })
    void numbersAreNormalisedWhereTextsCanArrive(String written, String country, String e164) {
        assertThat(Telephone.forTexts(written, country).orElse("")).isEqualTo(e164);
    }
}
