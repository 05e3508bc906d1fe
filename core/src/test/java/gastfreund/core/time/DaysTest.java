package gastfreund.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DaysTest {

    /** Zones whose clocks change by an hour, by half an hour, at midnight, and not at all. */
    @ParameterizedTest
    @CsvSource({
        "Europe/Berlin, 2027-03-26",
        "Europe/Berlin, 2027-10-29",
        "Australia/Lord_Howe, 2027-04-02",
        "Australia/Lord_Howe, 2027-10-01",
        "America/Santiago, 2027-09-03",
        "Africa/Cairo, 2027-04-28",
        "America/St_Johns, 2009-10-30",
        "Asia/Tokyo, 2027-01-01"
    })
    void everyMinuteOfEveryDayIsWhereTheZoneHasIt(String name, LocalDate first) {
        HouseZone zone = HouseZone.of(name);
        Days days = Days.between(zone, first, first.plusDays(4));
        for (int day = 0; day < days.count(); day++) {
            for (int minute = 0; minute < 1440; minute++) {
                var local = days.date(day).atTime(LocalTime.MIDNIGHT).plusMinutes(minute);
                assertThat(days.at(day, minute)).as("%s", local).isEqualTo(zone.minuteOf(local));
                assertThat(days.skips(day, minute)).isEqualTo(zone.skips(local));
            }
        }
        for (long t = days.span().start(); t < days.span().end(); t++) {
            assertThat(days.date(days.dayOf(t))).isEqualTo(zone.dateOf(t));
            for (int near = -1; near <= days.count(); near++) {
                assertThat(days.dayOf(t, near)).isEqualTo(days.dayOf(t));
            }
        }
    }

    /** What is kept of a zone grows, is replaced, and is passed over where somebody asks for very many dates. */
    @Test
    void datesAreTheSameInWhateverOrderTheyAreAskedFor() {
        HouseZone zone = HouseZone.of("Pacific/Chatham");
        for (String date : new String[] {"2027-04-03", "2026-11-01", "2030-02-01", "1999-12-31", "2027-04-03"}) {
            LocalDate first = LocalDate.parse(date);
            for (int count : new int[] {1, 40, 3000}) {
                Days days = Days.between(zone, first, first.plusDays(count - 1L));
                for (int day = 0; day <= count; day += Math.max(1, count / 50)) {
                    assertThat(days.start(day)).isEqualTo(zone.startOf(first.plusDays(day)));
                }
            }
        }
    }

    @Test
    void aSkippedTimeMovesLaterAndATwofoldOneIsTheEarlier() {
        HouseZone berlin = HouseZone.of("Europe/Berlin");
        long skipped = berlin.minuteOf(LocalDate.of(2027, 3, 28).atTime(2, 30));
        assertThat(berlin.localOf(skipped).toLocalTime()).isEqualTo(LocalTime.of(3, 30));
        long twice = berlin.minuteOf(LocalDate.of(2027, 10, 31).atTime(2, 30));
        assertThat(berlin.offsetOf(twice).toString()).isEqualTo("2027-10-31T02:30+02:00");
    }

    @Test
    void midnightAtTheEndIsTheNextDatesFirstMinute() {
        Days days = Days.between(HouseZone.of("Europe/Berlin"), LocalDate.of(2027, 3, 28), LocalDate.of(2027, 3, 28));
        assertThat(days.at(0, 1440)).isEqualTo(days.start(1)).isEqualTo(days.start(0) + 23 * 60);
    }

    @Test
    void datesInTheWrongOrderAreRefused() {
        assertThatThrownBy(() -> Days.between(HouseZone.of("UTC"), LocalDate.of(2027, 1, 2), LocalDate.of(2027, 1, 1)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
