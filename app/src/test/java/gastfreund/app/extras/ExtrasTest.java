package gastfreund.app.extras;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import gastfreund.housefile.BadFileException;
import gastfreund.housefile.HouseFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What the application reads of a house file's members "extra" is checked before a house opens with it. */
class ExtrasTest {

    private JsonNode file;

    @BeforeEach
    void demoHouse() throws Exception {
        Path demo = Path.of(Files.exists(Path.of("demo")) ? "demo" : "../demo");
        file = HouseFile.parse(Files.readString(demo.resolve("quillmere.house.json")));
    }

    @Test
    void theDemoHouseIsRightAndMembersOfOthersAreLeftAlone() {
        ((ObjectNode) file.get("house").get("extra")).put("somebodyElses", 5);
        HouseFile.read(file, whole -> {
            Extras extras = Extras.of(whole);
            assertThat(extras.checkout().toAgree())
                    .extracting(CheckoutRules.Text::id)
                    .containsExactly("rules");
            assertThat(extras.prepaidOffers()).extracting(PrepaidOffer::isPass).containsExactly(false, true);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/house/extra/checkout | company | 'maybe' | house.extra.checkout.company: must be one of no, optional, required",
                "/house/extra/checkout | straigth | true | house.extra.checkout.straigth: is not known here",
                "/house/extra/checkout/texts/1 | id | 'rules' | house.extra.checkout.texts[1].id: is the id of another text",
                "/house/extra/checkout/texts/0 | agree | 1 | house.extra.checkout.texts[0].agree: must be true or false",
                "/house/extra/vouchers/0/free | max | 5 | house.extra.vouchers[0].free.max: must be from 1000 to 1000000000000",
                "/house/extra/vouchers/0 | months | 0 | house.extra.vouchers[0].months: must be from 1 to 600",
                "/house/extra/passes/0 | offers | ['tea'] | house.extra.passes[0].offers[0]: there is no offer tea",
                "/house/extra/passes/0 | id | 'voucher' | house.extra.passes[0].id: is the id of another voucher or pass",
                "/house/extra/passes/0 | visits | 1.5 | house.extra.passes[0].visits: must be a whole number",
                "/offers/0/extra/questions/1 | kind | 'dropdown' | offers[0].extra.questions[1].kind: must be one of text, long, choice, choices, tick",
                "/offers/0/extra/questions/0 | options | [] | offers[0].extra.questions[0].options: must have something to choose",
                "/offers/0/extra/questions/1 | id | 'before' | offers[0].extra.questions[1].id: is the id of another question",
                "/places/0/extra | directions | 7 | places[0].extra.directions: must be a text",
            })
    void whatIsWrongIsToldWithItsPath(String owner, String member, String value, String problem) {
        ((ObjectNode) file.at(owner)).set(member, HouseFile.parse(value.replace('\'', '"')));
        BadFileException told = catchThrowableOfType(BadFileException.class, () -> HouseFile.read(file, Extras::of));
        assertThat(told.problems()).extracting(Object::toString).containsExactly(problem);
    }
}
