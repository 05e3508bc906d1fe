package gastfreund.app.editing;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.languages.Words;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Window;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.support.ResourceBundleMessageSource;

/** Hours are read in the ways in which people write them, and what is shown is read back as the same. */
class FiguresTest {

    private static final Map<OfferId, String> TITLES = Map.of(
            new OfferId("call"), "Glaze advice call",
            new OfferId("wheel"), "Wheel hire",
            new OfferId("odd"), "Odd (very), title",
            new OfferId("twin-a"), "Twin",
            new OfferId("twin-b"), "twin");

    private static Figures figures(Locale locale) {
        ResourceBundleMessageSource texts = new ResourceBundleMessageSource();
        texts.setBasename("texts/editing");
        texts.setDefaultEncoding("UTF-8");
        texts.setFallbackToSystemLocale(false);
        return new Figures(new Words(texts, locale), TITLES);
    }

    private final Figures english = figures(Locale.ENGLISH);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "9:30–13, 14–18:30 | 9:30–13, 14–18:30",
                "9-12 und 16-19 | 9–12, 16–19",
                "9.30 - 13 Uhr u. 14 bis 18.30 Uhr | 9:30–13, 14–18:30",
                "closed | closed",
                "Geschlossen | closed",
                "'' | closed",
                "22–2 | 22–2",
                "0930-1300 | 9:30–13",
                "9h30–13h | 9:30–13",
                "9am–5pm | 9–17",
                "9–5pm | 9–17",
                "9am–5 | 9–17",
                "1–5pm | 13–17",
                "10 to noon; from 2pm to 6:30 p.m. | 10–12, 14–18:30",
                "12am–12pm | 0–12",
                "8–midnight | 8–24",
                "midnight–2 | 0–2",
                "8-24 | 8–24",
                "ganztags | all day",
                "0–24 | all day",
                "16–19, 9–12 | 9–12, 16–19",
                "9–13 and 14–18 | 9–13, 14–18",
                "von 9 bis 12, und von 16 bis 19 | 9–12, 16–19",
                "14–16 (Glaze advice call) | 14–16 (Glaze advice call)",
                "14–16 (wheel hire, desk only), 17–18(nur wir) | 14–16 (Wheel hire, desk only), 17–18 (desk only)",
                "8–9 (odd) | 8–9 (odd)",
                "8–9 (twin-b) | 8–9 (twin-b)",
            })
    void whatPeopleWriteIsRead(String written, String shown) {
        Figures.Read read = english.read(written);
        assertThat(read.wrong()).isEmpty();
        assertThat(read.windows()).isNotNull();
        assertThat(english.of(read.windows())).isEqualTo(shown);
        assertThat(figures(Locale.GERMAN).read(figures(Locale.GERMAN).of(read.windows())))
                .isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tomorrow | We cannot read “tomorrow”",
                "9–13, lunch | We can read it up to “lunch”",
                "9–25 | There is no such time: “9–25”",
                "9:75–13 | There is no such time: “9:75–13”",
                "24–8 | There is no such time: “24–8”",
                "13am–14 | There is no such time: “13am–14”",
                "9–13 (tea) | There is no offer called “tea”",
                "9–13 (twin) | There is no offer called “twin”",
                "9–13 14–18 | We can read it up to “14–18”",
                "9 | We cannot read “9”",
                "9–13, | We can read it up to “,”",
            })
    void whatIsWrongIsTold(String written, String wrong) {
        Figures.Read read = english.read(written);
        assertThat(read.isRight()).isFalse();
        assertThat(read.wrong()).startsWith(wrong);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void whatIsShownIsReadBackAsTheSame(int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 500; i++) {
            List<Window> windows = new ArrayList<>();
            for (int w = random.nextInt(5); w > 0; w--) {
                Set<OfferId> offers = random.nextBoolean()
                        ? Set.of()
                        : Set.copyOf(TITLES.keySet().stream()
                                .filter(o -> random.nextInt(3) == 0)
                                .toList());
                windows.add(new Window(random.nextInt(1440), random.nextInt(1441), offers, random.nextInt(4) == 0));
            }
            windows.sort(Comparator.comparingInt(Window::from).thenComparingInt(Window::to));
            for (Locale locale : List.of(Locale.ENGLISH, Locale.GERMAN)) {
                Figures figures = figures(locale);
                assertThat(figures.read(figures.of(windows)).windows())
                        .as(figures.of(windows))
                        .containsExactlyInAnyOrderElementsOf(windows);
            }
        }
    }

    @Test
    void noTextTakesLong() {
        String long1 = "9–13 (" + "a,".repeat(20_000);
        String long2 = "9-1,".repeat(20_000) + "9-1";
        assertThat(english.read(long1).isRight()).isFalse();
        assertThat(english.read(long2).wrong()).startsWith("More than 24");
    }
}
