package gastfreund.app.effects;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.extras.WholeHouse;
import gastfreund.app.languages.Formats;
import gastfreund.core.time.HouseZone;
import java.util.Currency;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;

/** Whatever the reader of house files finds wrong is told in words that are not the reader's own, in the host's language. */
class FaultWordsTest {

    @Test
    void nothingIsToldAsTheReaderSaysIt() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("texts/effects");
        messages.setDefaultEncoding("UTF-8");
        messages.setFallbackToSystemLocale(false);
        Formats f = new Formats(messages, Locale.GERMAN, HouseZone.of("Europe/Berlin"), Currency.getInstance("EUR"));
        WholeHouse house = new WholeHouse();
        Set<String> told = new TreeSet<>();
        house.spoil(
                house.json(), "", what -> house.problems().forEach(p -> told.add(p.substring(p.indexOf(": ") + 2))));
        assertThat(told).hasSizeGreaterThan(20);
        assertThat(told).filteredOn(m -> FaultWords.of(m, f).equals(m)).isEmpty();
    }
}
