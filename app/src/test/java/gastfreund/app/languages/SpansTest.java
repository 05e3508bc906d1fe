package gastfreund.app.languages;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.time.HouseZone;
import java.util.Currency;
import java.util.Locale;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;

/** How long something takes, as people write it in both languages, and read back as it is shown. */
class SpansTest {

    private static Formats formats(Locale locale) {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("texts/languages");
        messages.setDefaultEncoding("UTF-8");
        messages.setFallbackToSystemLocale(false);
        return new Formats(messages, locale, HouseZone.of("Europe/Berlin"), Currency.getInstance("EUR"));
    }

    @Test
    void peopleWriteThemInManyWays() {
        assertThat(Spans.read("90", 1)).hasValue(90);
        assertThat(Spans.read("2", 60)).hasValue(120);
        assertThat(Spans.read("1:30", 1)).hasValue(90);
        assertThat(Spans.read("1 h 30", 1)).isEmpty();
        assertThat(Spans.read("1h 30min", 1)).hasValue(90);
        assertThat(Spans.read("1,5 Stunden", 1)).hasValue(90);
        assertThat(Spans.read("1 ½ hours", 1)).hasValue(90);
        assertThat(Spans.read("½ Tag", 1)).hasValue(720);
        assertThat(Spans.read("2 days 3 hours", 1)).hasValue(3060);
        assertThat(Spans.read("1 Woche", 1)).hasValue(10_080);
        assertThat(Spans.read("45 Min.", 1)).hasValue(45);
    }

    @Test
    void whatIsNoneIsTold() {
        for (String none :
                new String[] {"", "soon", "1:75", "-5", "1.3 min", "5 apples", "h", "1 2 3", "1:30 h", "½½"}) {
            assertThat(Spans.read(none, 1)).as(none).isEmpty();
        }
        assertThat(Spans.read("9".repeat(50), 1)).isEmpty();
    }

    @Test
    void whatIsShownIsReadAsTheSame() {
        for (Locale locale : new Locale[] {Locale.ENGLISH, Locale.GERMAN}) {
            Formats f = formats(locale);
            LongStream.concat(LongStream.rangeClosed(0, 400), LongStream.of(720, 1440, 1500, 2880, 10_080, 43_200))
                    .forEach(m -> assertThat(Spans.read(Spans.said(m, f), 60))
                            .as(Spans.said(m, f))
                            .hasValue(m));
        }
    }
}
