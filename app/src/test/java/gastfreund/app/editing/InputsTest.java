package gastfreund.app.editing;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.editing.Inputs.Seen;
import gastfreund.housefile.HouseFile;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Members of documents, found and put by their names. */
class InputsTest {

    private static ObjectNode offer() {
        return (ObjectNode)
                HouseFile.parse(
                        """
                {"id": "o", "lengths": [{"id": "60", "minutes": 60, "units": {"max": 3}}, {"id": "90", "minutes": 90}],
                 "uses": [{"resource": "wheel", "units": 2}], "terms": {"cancel": [{"hoursBefore": 48}, {"hoursBefore": 0}]},
                 "places": ["yard"], "limits": {"perDay": 3}}
                """);
    }

    @Test
    void elementsAreNamedByTheirIdByAnotherKeyOrByTheirPlace() {
        ObjectNode offer = offer();
        assertThat(Inputs.at(offer, "lengths/90/minutes").intValue()).isEqualTo(90);
        assertThat(Inputs.at(offer, "uses/wheel/units").intValue()).isEqualTo(2);
        assertThat(Inputs.at(offer, "terms/cancel/1/hoursBefore").intValue()).isZero();
        for (String none :
                new String[] {"lengths/30/minutes", "lengths/0/minutes", "uses/0/units", "terms/cancel/2", "x/y"}) {
            assertThat(Inputs.at(offer, none).isMissingNode()).as(none).isTrue();
        }
    }

    @Test
    void whatIsPutIsThereAndWhatIsTakenAwayLeavesNothingEmptyBehind() {
        ObjectNode offer = offer();
        Inputs.set(offer, "lengths/60/units/max", null);
        assertThat(offer.path("lengths").get(0).has("units")).isFalse();
        Inputs.set(offer, "limits/perDay", null);
        assertThat(offer.has("limits")).isFalse();
        Inputs.set(offer, "season/from", Sort.JSON.stringNode("2027-01-01"));
        assertThat(offer.path("season").path("from").stringValue("")).isEqualTo("2027-01-01");
        Inputs.set(offer, "uses/kiln/units", Sort.number(1));
        assertThat(offer.path("uses").get(1).path("resource").stringValue("")).isEqualTo("kiln");
        Inputs.set(offer, "lengths/30/minutes", Sort.number(30));
        assertThat(offer.path("lengths").size())
                .as("lengths are added in another way")
                .isEqualTo(2);
        Inputs.set(offer, "places/0/name", Sort.number(1));
        assertThat(offer.path("places").get(0).stringValue("")).isEqualTo("yard");
    }

    @Test
    void pathsOfTheReaderAreNamedAsMembers() {
        ObjectNode offer = offer();
        assertThat(Inputs.member(offer, "lengths[1].minutes")).isEqualTo("lengths/90/minutes");
        assertThat(Inputs.member(offer, "uses[0].resource")).isEqualTo("uses/wheel/resource");
        assertThat(Inputs.member(offer, "terms.cancel[1].keep")).isEqualTo("terms/cancel/1/keep");
        assertThat(Inputs.member(offer, "title")).isEqualTo("title");
        assertThat(Inputs.member(offer, "")).isEmpty();
        assertThat(new Seen(offer, Map.of(), Map.of()).json()).isSameAs(offer);
    }
}
