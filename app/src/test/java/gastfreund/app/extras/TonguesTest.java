package gastfreund.app.extras;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Texts in other languages take the place of those that are there, and of nothing else. */
class TonguesTest {

    private static final String FILE =
            """
            {"format": "gastfreund-house/1",
             "house": {"name": "House", "zone": "Europe/Berlin", "currency": "EUR", "extra": {
                "summary": "A house", "notes": [{"from": "2027-01-01", "to": "2027-01-02", "note": "New year"}],
                "in": {"de": {"name": "Haus", "extra": {"summary": "Ein Haus", "notes": {"2027-01-01": {"note": "Neujahr"}},
                       "colour": "rot"}}}}},
             "offers": [{"id": "one", "title": "One", "lengths": [{"id": "60", "minutes": 60, "price": 100}],
                "addOns": [{"id": "clay", "title": "Clay", "price": 900}, {"id": "tea", "title": "Tea", "price": 100}],
                "extra": {"included": ["Apron", "Tea"], "in": {"de": {"title": "Eins", "lengths": {"60": {"price": "teuer"}},
                   "addOns": {"clay": {"title": "Ton"}, "gone": {"title": "Fort"}}, "extra": {"included": ["Schürze"]}}}}}]}
            """;

    private static final JsonNode IN = HouseFile.parse(FILE);

    @Test
    void whatIsWrittenIsSaidAndTheRestAsItIs() {
        JsonNode german = Tongues.in(IN, Locale.GERMAN);
        assertThat(german.at("/house/name").stringValue()).isEqualTo("Haus");
        assertThat(german.at("/house/extra/summary").stringValue()).isEqualTo("Ein Haus");
        assertThat(german.at("/house/extra/notes/0/note").stringValue()).isEqualTo("Neujahr");
        assertThat(german.at("/offers/0/title").stringValue()).isEqualTo("Eins");
        assertThat(german.at("/offers/0/addOns/0/title").stringValue()).isEqualTo("Ton");
        assertThat(german.at("/offers/0/addOns/1/title").stringValue()).isEqualTo("Tea");
        assertThat(german.at("/offers/0/extra/included").size()).isEqualTo(1);
    }

    @Test
    void nothingIsAddedAndNoNumberBecomesAText() {
        JsonNode german = Tongues.in(IN, Locale.GERMAN);
        assertThat(german.at("/house/extra").has("colour")).isFalse();
        assertThat(german.at("/offers/0/addOns").size()).isEqualTo(2);
        assertThat(german.at("/offers/0/lengths/0/price").longValue()).isEqualTo(100);
        assertThat(IN.at("/house/name").stringValue()).as("the file itself").isEqualTo("House");
        assertThat(Tongues.in(IN, Locale.FRENCH)).isEqualTo(IN);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"fr\": {\"name\": \"Maison\"}} | house.extra.in.fr: is not known here",
                "{\"de\": {\"name\": 5}} | house.extra.in.de.name: must be a text that is not blank",
                "{\"de\": {\"name\": [true]}} | house.extra.in.de.name[0]: must be a text that is not blank"
            })
    void whatIsNoTextIsTold(String in, String problem) {
        JsonNode file = IN.deepCopy();
        ((tools.jackson.databind.node.ObjectNode) file.at("/house/extra")).set("in", HouseFile.parse(in));
        BadFileException told = catchThrowableOfType(BadFileException.class, () -> HouseFile.read(file, Extras::of));
        assertThat(told.problems()).extracting(Object::toString).containsExactly(problem);
    }
}
