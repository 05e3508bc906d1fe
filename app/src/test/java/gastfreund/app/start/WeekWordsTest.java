package gastfreund.app.start;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.editing.Figures;
import gastfreund.app.languages.Words;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;

/** A week in one line, as people say it. */
class WeekWordsTest {

    private static String read(String written) {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasenames("texts/editing", "texts/languages");
        messages.setDefaultEncoding("UTF-8");
        messages.setFallbackToSystemLocale(false);
        Figures figures = new Figures(new Words(messages, Locale.ENGLISH), Map.of());
        return WeekWords.read(written, figures)
                .map(week -> {
                    StringBuilder said = new StringBuilder();
                    week.forEach((day, windows) -> said.append(said.isEmpty() ? "" : "; ")
                            .append(day.name(), 0, 2)
                            .append(' ')
                            .append(figures.of(windows)));
                    return said.toString();
                })
                .orElse("?");
    }

    @Test
    void daysRangesAndFiguresInBothLanguages() {
        assertThat(read("Tue to Fri 10–18, Sat 10–14")).isEqualTo("TU 10–18; WE 10–18; TH 10–18; FR 10–18; SA 10–14");
        assertThat(read("Mo-Do 9-12, 13-17"))
                .isEqualTo("MO 9–12, 13–17; TU 9–12, 13–17; WE 9–12, 13–17; TH 9–12, 13–17");
        assertThat(read("Fr 9-12 und 13-17, Sa 9-11")).isEqualTo("FR 9–12, 13–17; SA 9–11");
        assertThat(read("Mo und Mi 9:30–12")).isEqualTo("MO 9:30–12; WE 9:30–12");
        assertThat(read("sa bis mo 8-10")).isEqualTo("MO 8–10; SA 8–10; SU 8–10");
        assertThat(read("Friday, Saturday 20-2")).isEqualTo("FR 20–2; SA 20–2");
    }

    @Test
    void whatIsNoWeekIsTold() {
        for (String none : new String[] {
            "", "always", "10-18", "Tue", "Tue to 10-18", "Tuuu 10-18", "Tue 25-26", "Tue 10-18 or so", "x".repeat(400)
        }) {
            assertThat(read(none)).as(none).isEqualTo("?");
        }
    }
}
