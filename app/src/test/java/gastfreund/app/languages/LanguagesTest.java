package gastfreund.app.languages;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.time.HouseZone;
import java.lang.reflect.Field;
import java.time.Instant;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever language a visitor asks for, it is one of two. */
class LanguagesTest {

    @ParameterizedTest
    @CsvSource({"de, de", "de-AT, de", "en-GB, en", "fr, en", "tlh, en", "'', en"})
    void aVisitorHearsOneOfThem(String asked, String heard) {
        assertThat(Languages.spoken(Locale.forLanguageTag(asked)).toLanguageTag())
                .isEqualTo(heard);
    }

    @Test
    void sixHundredLanguagesLeaveNothingBehind() throws ReflectiveOperationException {
        Field patterns = Formats.class.getDeclaredField("PATTERNS");
        patterns.setAccessible(true);
        for (Locale locale : Locale.getAvailableLocales()) {
            Formats formats = new Formats(
                    null, Languages.spoken(locale), HouseZone.of("Europe/Berlin"), Currency.getInstance("EUR"));
            assertThat(formats.time(Instant.EPOCH)).isEqualTo("1:00");
        }
        assertThat((Map<?, ?>) patterns.get(null)).hasSizeLessThan(20);
    }
}
