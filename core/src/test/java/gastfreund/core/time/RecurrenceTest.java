package gastfreund.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RecurrenceTest {

    private static final LocalDateTime WEDNESDAY = LocalDateTime.parse("2027-01-06T18:30");

    private static List<String> starts(Recurrence recurrence, String from, String to) {
        return Arrays.stream(recurrence.between(LocalDate.parse(from), LocalDate.parse(to)))
                .mapToObj(Recurrence::localOf)
                .map(LocalDateTime::toString)
                .toList();
    }

    @Test
    void datesLeftOutCountTowardsTheCount() {
        Recurrence weekly = Recurrence.of(WEDNESDAY, "FREQ=WEEKLY;COUNT=3", Set.of(LocalDate.parse("2027-01-13")));
        assertThat(starts(weekly, "2027-01-01", "2027-12-31")).containsExactly("2027-01-06T18:30", "2027-01-20T18:30");
    }

    @Test
    void bothEndsOfTheDatesBelongToThem() {
        Recurrence daily = Recurrence.of(WEDNESDAY, "FREQ=DAILY", Set.of());
        assertThat(starts(daily, "2027-01-06", "2027-01-08")).hasSize(3);
        assertThat(starts(daily, "2027-01-01", "2027-01-05")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    FREQ=WEEKLY;UNTIL=20270120         | 3
                    FREQ=WEEKLY;UNTIL=20270120T183000  | 3
                    FREQ=WEEKLY;UNTIL=20270120T182959  | 2
                    FREQ=MONTHLY;BYDAY=1WE;COUNT=4     | 4
                    FREQ=WEEKLY;BYDAY=WE,FR;COUNT=5    | 5
                    """)
    void untilIsIncluded(String rule, int count) {
        Recurrence recurrence = Recurrence.of(WEDNESDAY, rule, Set.of());
        assertThat(starts(recurrence, "2027-01-01", "2028-12-31")).hasSize(count);
    }

    @Test
    void anEndlessRuleIsFollowedAsFarAsIsAsked() {
        Recurrence weekly = Recurrence.of(WEDNESDAY, "FREQ=WEEKLY", Set.of());
        assertThat(starts(weekly, "2060-01-01", "2060-01-31")).hasSize(4);
        assertThat(starts(weekly, "2027-01-01", "2027-01-31")).hasSize(4);
    }

    @Test
    void oneStartNeedsNoRule() {
        assertThat(starts(Recurrence.once(WEDNESDAY), "2027-01-06", "2027-01-06"))
                .containsExactly("2027-01-06T18:30");
        assertThat(starts(Recurrence.of(WEDNESDAY, null, Set.of(WEDNESDAY.toLocalDate())), "2027-01-06", "2027-01-06"))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "FREQ=WEEKLY;BYDAY=MO",
                "FREQ=WEEKLY;UNTIL=20270301T000000Z",
                "FREQ=SECONDLY",
                "FREQ=YEARLY;INTERVAL=101",
                "FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30",
                "FREQ=FORTNIGHTLY",
                ""
            })
    void whatCannotBeFollowedIsRefused(String rule) {
        assertThatThrownBy(() -> Recurrence.of(WEDNESDAY, rule, Set.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aStartIsAWholeMinute() {
        assertThatThrownBy(() -> Recurrence.once(WEDNESDAY.plusSeconds(1)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void tooManyStartsBeforeADateAreRefusedAndDoNotHang() {
        Recurrence hourly = Recurrence.of(WEDNESDAY, "FREQ=HOURLY", Set.of());
        assertThatThrownBy(() -> hourly.between(LocalDate.parse("2190-01-01"), LocalDate.parse("2190-01-02")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("more than");
    }
}
