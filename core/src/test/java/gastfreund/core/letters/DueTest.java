package gastfreund.core.letters;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.time.HouseZone;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When letters are due, against an oracle that goes from minute to minute, in zones and weeks in which clocks change. */
class DueTest {

    /** A zone, quiet hours in it, and a minute in a week in which its clock changes, or any other. */
    record Around(String zone, int from, int to, long minute) {

        HouseZone house() {
            return HouseZone.of(zone);
        }

        QuietHours quiet() {
            return QuietHours.of(from, to);
        }

        /** Whether a minute is in quiet hours: those of some date hold it, each from its first minute to its last. */
        boolean isQuiet(long at) {
            ZoneId id = ZoneId.of(zone);
            LocalDateTime midnight = ZonedDateTime.ofInstant(java.time.Instant.ofEpochSecond(at * 60), id)
                    .toLocalDate()
                    .atStartOfDay();
            for (int days = -2; days <= 2; days++) {
                LocalDateTime date = midnight.plusDays(days);
                LocalDateTime begins = date.plusMinutes(from % 1440);
                LocalDateTime ends = date.plusMinutes(to % 1440).plusDays(to % 1440 <= from % 1440 ? 1 : 0);
                if (begins.atZone(id).toEpochSecond() <= at * 60
                        && at * 60 < ends.atZone(id).toEpochSecond()) {
                    return true;
                }
            }
            return false;
        }
    }

    @Provide
    Arbitrary<Around> around() {
        Arbitrary<String> zones = Arbitraries.of(
                "Europe/Berlin",
                "Australia/Lord_Howe",
                "America/New_York",
                "Asia/Kathmandu",
                "America/St_Johns",
                "UTC");
        Arbitrary<Integer> times = Arbitraries.integers().between(0, 95).map(q -> q * 15);
        // From the middle of March and of October on: all of these clocks change in these weeks, or none does.
        Arbitrary<Long> minutes = Arbitraries.of(30_092_000L, 29_866_000L)
                .flatMap(from -> Arbitraries.longs().between(0, 40_000).map(m -> from + m));
        return Combinators.combine(zones, times, times, minutes)
                .as(Around::new)
                .filter(a -> a.from() != a.to() && Math.floorMod(a.to() - a.from(), 1440) <= 1380);
    }

    @Property(tries = 2000)
    void quietHoursHoldTheMinutesOfEveryDateAndNoOther(@ForAll("around") Around around) {
        long minute = around.minute();
        assertThat(around.quiet().around(minute, around.house()).isPresent()).isEqualTo(around.isQuiet(minute));
        around.quiet().around(minute, around.house()).ifPresent(stretch -> {
            assertThat(stretch.start()).isLessThanOrEqualTo(minute);
            assertThat(stretch.end()).isGreaterThan(minute);
            assertThat(around.isQuiet(stretch.start() - 1)).isFalse();
            assertThat(around.isQuiet(stretch.end())).isFalse();
            assertThat(LongStream.range(stretch.start(), stretch.end()).filter(at -> !around.isQuiet(at)))
                    .isEmpty();
        });
    }

    @Property(tries = 3000)
    void aLetterBeforeIsDueWhereTheOracleFindsIt(
            @ForAll("around") Around around,
            @ForAll @IntRange(max = 4000) int minutes,
            @ForAll @IntRange(min = -3000, max = 6000) int ahead) {
        long start = around.minute();
        long made = start - ahead;
        OptionalLong due = Due.before(around.house(), around.quiet(), minutes, start, made);
        assertThat(due).isEqualTo(walked(around, minutes, start, made));
        due.ifPresent(d -> {
            assertThat(around.isQuiet(d)).as("in quiet hours").isFalse();
            assertThat(d).isLessThanOrEqualTo(start).isGreaterThanOrEqualTo(made);
        });
    }

    private static OptionalLong walked(Around around, int minutes, long start, long made) {
        long at = start - minutes;
        if (around.isQuiet(at)) {
            long early = at;
            while (around.isQuiet(early)) {
                early--;
            }
            if (made <= early) {
                return OptionalLong.of(early);
            }
            while (around.isQuiet(at)) {
                at++;
            }
            if (at >= start) {
                return OptionalLong.empty();
            }
        }
        return made > at ? OptionalLong.empty() : OptionalLong.of(at);
    }

    @Property(tries = 1000)
    void aLetterAfterIsDueAtTheFirstMinuteThatIsNotQuiet(
            @ForAll("around") Around around, @ForAll @IntRange(max = 4000) int minutes) {
        long due = Due.after(around.house(), around.quiet(), minutes, around.minute());
        long at = around.minute() + minutes;
        while (around.isQuiet(at)) {
            at++;
        }
        assertThat(due).isEqualTo(at);
    }

    @Property(tries = 300)
    void timeThatDoesNotRunInQuietHoursIsWhatTheOracleCounts(
            @ForAll("around") Around around, @ForAll @IntRange(max = 2000) int count) {
        long at = around.minute();
        while (around.isQuiet(at)) {
            at++;
        }
        for (int counted = 0; counted < count; at++) {
            counted += around.isQuiet(at) ? 0 : 1;
        }
        assertThat(around.quiet().later(around.minute(), count, around.house())).isEqualTo(at);
    }

    @Property(tries = 500)
    void withoutQuietHoursItIsDueAtItsTimeOrNotAtAll(
            @ForAll("around") Around around,
            @ForAll @IntRange(max = 4000) int minutes,
            @ForAll @IntRange(min = -100, max = 6000) int ahead) {
        long wanted = around.minute() - minutes;
        long made = around.minute() - ahead;
        assertThat(Due.before(around.house(), null, minutes, around.minute(), made))
                .isEqualTo(made <= wanted ? OptionalLong.of(wanted) : OptionalLong.empty());
        assertThat(Due.after(around.house(), null, minutes, around.minute())).isEqualTo(around.minute() + minutes);
    }

    /** Windows of two dates that touch where a clock goes back are one. */
    @Test
    void aLongNightIsOneStretch() {
        HouseZone berlin = HouseZone.of("Europe/Berlin");
        QuietHours quiet = QuietHours.of(3 * 60, 2 * 60);
        long noon = berlin.minuteOf(LocalDateTime.of(2026, 10, 25, 12, 0));
        assertThat(quiet.around(noon, berlin).orElseThrow().start())
                .isEqualTo(berlin.minuteOf(LocalDateTime.of(2026, 10, 25, 3, 0)));
        long spring = berlin.minuteOf(LocalDateTime.of(2027, 3, 28, 12, 0));
        assertThat(quiet.around(spring, berlin).orElseThrow().start())
                .as("the hour between is skipped")
                .isEqualTo(berlin.minuteOf(LocalDateTime.of(2027, 3, 27, 3, 0)));
    }

    @ParameterizedTest
    @CsvSource({
        "1260,1260,same time",
        "0,1440,same time",
        "0,1381,an hour",
        "120,90,an hour",
        "-1,60,within a day",
        "60,1441,within a day"
    })
    void whatLeavesNoHourOfADayIsRefused(int from, int to, String why) {
        assertThatThrownBy(() -> QuietHours.of(from, to))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why);
    }

    @Test
    void nothingIsWrittenBeforeTheEndNorAfterTheStart() {
        HouseZone utc = HouseZone.of("UTC");
        assertThatThrownBy(() -> Due.before(utc, null, -1, 100, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Due.after(utc, null, -1, 100)).isInstanceOf(IllegalArgumentException.class);
    }
}
