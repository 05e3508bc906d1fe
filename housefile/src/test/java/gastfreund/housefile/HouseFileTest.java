package gastfreund.housefile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class HouseFileTest {

    private static List<String> problems(String json) {
        BadFileException bad =
                catchThrowableOfType(BadFileException.class, () -> HouseFile.read(HouseFile.parse(json)));
        return bad.problems().stream().map(Problem::toString).toList();
    }

    @Test
    void theDemoHouseIsRight() throws IOException {
        HouseFile file = HouseFile.read(HouseFile.parse(Files.readString(Path.of("../demo/quillmere.house.json"))));
        assertThat(file.house().offers()).hasSize(3);
        assertThat(file.bookings()).hasSizeGreaterThan(50);
    }

    @Test
    void allProblemsAreToldTogetherEachWithItsPath() {
        assertThat(problems(
                        """
                        {"format": "gastfreund-house/1", "colour": 1,
                         "house": {"name": "H", "zone": "Mars/Olympus", "currency": "EUR",
                                   "hours": {"weekly": [{"days": ["son"], "from": "9:00", "to": "24:00"}]}},
                         "staff": [{"id": "a", "name": "A"}, {"id": "a", "name": "B"}],
                         "offers": [{"id": "o", "title": "", "lengths": [{"id": "l", "minutes": 0, "price": "x"}],
                                     "staff": {"pick": "any", "of": []}, "uses": [{"resource": "wheel"}],
                                     "payment": {"when": "full", "balance": {"daysBefore": 1}}}]}
                        """))
                .contains(
                        "colour: is not known here",
                        "house.zone: must be a zone of the tz database",
                        "house.hours.weekly[0].days[0]: must be one of mon, tue, wed, thu, fri, sat, sun",
                        "house.hours.weekly[0].from: must be a time from 00:00 to 23:59",
                        "staff: has two with the id a",
                        "offers[0].title: must be a text that is not blank",
                        "offers[0].lengths[0].minutes: must be from 1 to 10080",
                        "offers[0].lengths[0].price: must be a whole number",
                        "offers[0].staff.of: must name somebody",
                        "offers[0].uses[0].resource: there is no resource wheel",
                        "offers[0].payment.balance: goes with \"when\": \"deposit\" only");
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThat(problems("{\"format\": \"gastfreund-house/1\", \"house\": {\"name\": \"H\", \"currency\": \"EUR\"}}"))
                .containsExactly("house.zone: is missing");
    }

    @Test
    void whatIsNoJsonIsSaid() {
        BadFileException bad = catchThrowableOfType(BadFileException.class, () -> HouseFile.parse("{\"a\": }"));
        assertThat(bad).hasMessageContaining("is no JSON").hasMessageContaining("line 1");
    }

    @Test
    void aMemberWrittenTwiceIsRefused() {
        assertThat(catchThrowableOfType(BadFileException.class, () -> HouseFile.parse("{\"a\": 1, \"a\": 2}")))
                .isNotNull();
    }
}
