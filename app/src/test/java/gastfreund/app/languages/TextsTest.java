package gastfreund.app.languages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.springframework.context.NoSuchMessageException;
import org.springframework.context.support.ResourceBundleMessageSource;

/** What is kept of texts says what the bundles say, in each language and the second time too. */
class TextsTest {

    private static final List<String> BUNDLES = List.of("texts/whole", "texts/board", "texts/openings");

    private final Texts texts = new Texts(BUNDLES);

    private static ResourceBundleMessageSource bundles() {
        ResourceBundleMessageSource bundles = new ResourceBundleMessageSource();
        bundles.setBasenames(BUNDLES.toArray(String[]::new));
        bundles.setDefaultEncoding("UTF-8");
        bundles.setFallbackToSystemLocale(false);
        return bundles;
    }

    @Test
    void everyLanguageHearsWhatItsBundlesSay() {
        for (int time = 0; time < 2; time++) {
            for (Locale language : List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH, Locale.GERMANY)) {
                assertThat(texts.getMessage("board.free", null, language))
                        .isEqualTo(bundles().getMessage("board.free", null, language));
                for (int percent : new int[] {7, 1234}) {
                    Object[] arguments = {"Do", percent};
                    assertThat(texts.getMessage("board.tick", arguments, language))
                            .isEqualTo(bundles().getMessage("board.tick", arguments, language))
                            .contains("Do");
                }
            }
        }
    }

    @Test
    void whatNoBundleHasIsNotFoundTheSecondTimeEither() {
        for (int time = 0; time < 2; time++) {
            assertThatThrownBy(() -> texts.getMessage("board.isNotThere", null, Locale.ENGLISH))
                    .isInstanceOf(NoSuchMessageException.class);
            assertThat(texts.getMessage("board.isNotThere", null, "otherwise", Locale.ENGLISH))
                    .isEqualTo("otherwise");
        }
    }
}
