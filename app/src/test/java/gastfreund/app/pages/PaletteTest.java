package gastfreund.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever colour a house chooses: what it takes can be read, on paper and at night. */
class PaletteTest {

    private static final double LEAST = 4.5;

    private static int rgb(String hex) {
        return Integer.parseInt(hex.substring(1), 16);
    }

    @Test
    void whatIsTakenCanBeReadAndWhatIsNotHasADarkerOneThatCan() {
        new Random(5).ints(5000, 0, 0x1000000).forEach(PaletteTest::canBeRead);
    }

    private static void canBeRead(int rgb) {
        Palette palette = new Palette(rgb);
        Palette proposed = Palette.of(palette.readable()).orElseThrow();
        assertThat(proposed.isReadable()).isTrue();
        assertThat(palette.isReadable()).isEqualTo(palette.equals(proposed));
        for (Palette.Colours colours : new Palette.Colours[] {proposed.onPaper(), palette.atNight()}) {
            assertThat(Palette.contrast(rgb(colours.main()), rgb(colours.on()))).isGreaterThanOrEqualTo(LEAST);
        }
        assertThat(Palette.contrast(rgb(palette.atNight().main()), 0x1d171f)).isGreaterThanOrEqualTo(LEAST);
    }

    @Test
    void contrastsAreThoseOfTheGuideline() {
        assertThat(Palette.contrast(0xffffff, 0x000000)).isEqualTo(21);
        assertThat(Palette.contrast(0x777777, 0xffffff)).isBetween(4.47, 4.49);
        assertThat(Palette.contrast(0x777777, 0x777777)).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"#4f6b46, true", "#ffd700, false", "#b5482f, true", "#fbf7f1, false"})
    void someAreTooLightForPaper(String colour, boolean readable) {
        assertThat(Palette.of(colour).orElseThrow().isReadable()).isEqualTo(readable);
    }

    @ParameterizedTest
    @CsvSource({"red", "#fff", "#gggggg", "4f6b46", "'#4f6b46; }'"})
    void whatIsNoColourIsNone(String typed) {
        assertThat(Palette.of(typed)).isEmpty();
    }
}
