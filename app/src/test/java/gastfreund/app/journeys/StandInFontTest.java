package gastfreund.app.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is there before a page's own font has come is as wide, so that nothing moves when it comes. */
class StandInFontTest extends Journey {

    private static final Percentage TWO = Percentage.withPercentage(2);

    private static final String TEXT =
            "The place is kept for fifteen minutes. Wer am Sonntag, den 29. November, um 12.30 Uhr"
                    + " einen Termin bucht, kann ihn bis zum Vortag verlegen. Wheel hire, glazing: from 18.00 € for each person.";

    /** How wide a text is in the font, in what stands in for it, and where nothing is there to stand in. */
    private static final String WIDTHS =
            """
            async ([text, family, weight]) => {
              await document.fonts.load(`${weight} 16px "${family}"`);
              const pen = document.createElement('canvas').getContext('2d');
              return [`"${family}"`, `"${family} in Arial", monospace`, 'monospace'].map((fonts) => {
                pen.font = `${weight} 100px ${fonts}`;
                return pen.measureText(text).width;
              });
            }""";

    @ParameterizedTest
    @CsvSource({"Figtree, 400", "Figtree, 500", "Figtree, 650", "Figtree, 700", "Bricolage, 700", "Bricolage, 750"})
    void itIsAsWide(String family, int weight) {
        open(true, 390);
        page.navigate(address("/"));
        List<?> widths = (List<?>) page.evaluate(WIDTHS, List.of(TEXT, family, weight));
        assumeThat(widths.get(1))
                .as("this machine has Arial or what is as wide")
                .isNotEqualTo(widths.get(2));
        assertThat(number(widths.get(1))).isCloseTo(number(widths.get(0)), TWO);
    }

    private static double number(Object width) {
        return ((Number) width).doubleValue();
    }
}
