package gastfreund.app.calendars;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** When somebody is busy by a calendar of another program. */
class BusyFileTest {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
    private static final Instant FROM = Instant.parse("2027-03-01T00:00:00Z");
    private static final Instant TO = Instant.parse("2027-05-01T00:00:00Z");
    private static final int CALENDARS = 500;

    private static BusyFile.Read read(String... lines) throws BusyFile.Refused {
        String file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Somebody//EN\r\n"
                + String.join("\r\n", lines)
                + "\r\nEND:VCALENDAR\r\n";
        return BusyFile.read(file, BERLIN, FROM, TO);
    }

    private static BusyFile.Read event(String... lines) throws BusyFile.Refused {
        return read("BEGIN:VEVENT\r\nUID:a\r\n" + String.join("\r\n", lines) + "\r\nEND:VEVENT");
    }

    /** In Berlin's time. */
    private static Interval between(String start, String end) {
        return Interval.between(
                LocalDateTime.parse(start).atZone(BERLIN).toEpochSecond() / 60,
                LocalDateTime.parse(end).atZone(BERLIN).toEpochSecond() / 60);
    }

    @Test
    void anEventIsBusyInTheZoneThatItNamesOrInTheHouses() throws Exception {
        Interval time = between("2027-03-02T10:00", "2027-03-02T11:30");
        assertThat(event("DTSTART:20270302T100000", "DTEND:20270302T113000").busy())
                .containsExactly(time);
        assertThat(event("DTSTART:20270302T090000Z", "DURATION:PT1H30M").busy()).containsExactly(time);
        assertThat(event("DTSTART;TZID=America/New_York:20270302T040000", "DTEND;TZID=Europe/London:20270302T103000")
                        .busy())
                .containsExactly(time);
        assertThat(event("DTSTART;TZID=/somebody.example/2026/Europe/Berlin:20270302T100000", "DURATION:PT90M")
                        .busy())
                .containsExactly(time);
    }

    @Test
    void aZoneThatNobodyKnowsIsReadAsTheHousesAndTold() throws Exception {
        BusyFile.Read read = event("DTSTART;TZID=Mill Time:20270302T100000", "DURATION:PT1H");
        assertThat(read.busy()).containsExactly(between("2027-03-02T10:00", "2027-03-02T11:00"));
        assertThat(read.zones()).containsExactly("Mill Time");
    }

    @Test
    void wholeDaysAreBusyOnlyWhereTheySaySo() throws Exception {
        assertThat(event("DTSTART;VALUE=DATE:20270327", "DTEND;VALUE=DATE:20270329")
                        .busy())
                .isEmpty();
        assertThat(event("DTSTART;VALUE=DATE:20270327", "DTEND;VALUE=DATE:20270329", "TRANSP:OPAQUE")
                        .busy())
                .containsExactly(between("2027-03-27T00:00", "2027-03-29T00:00"));
        assertThat(event("DTSTART;VALUE=DATE:20270328", "TRANSP:OPAQUE").busy())
                .containsExactly(between("2027-03-28T00:00", "2027-03-29T00:00"));
    }

    @Test
    void whatIsFreeCancelledOursOrWithoutAnEndTakesNothing() throws Exception {
        assertThat(event("DTSTART:20270302T100000Z", "DTEND:20270302T110000Z", "TRANSP:TRANSPARENT")
                        .busy())
                .isEmpty();
        assertThat(event("DTSTART:20270302T100000Z", "DTEND:20270302T110000Z", "STATUS:CANCELLED")
                        .busy())
                .isEmpty();
        assertThat(event("DTSTART:20270302T100000Z").busy()).isEmpty();
        assertThat(read("BEGIN:VEVENT\r\nUID:x" + CalendarFile.OURS
                        + "\r\nDTSTART:20270302T100000Z\r\nDTEND:20270302T110000Z\r\nEND:VEVENT"))
                .isEqualTo(new BusyFile.Read(List.of(), 0, 0, java.util.Set.of()));
    }

    @Test
    void occurrencesAreLeftOutMovedCancelledAndAdded() throws Exception {
        BusyFile.Read read = read(
                """
                BEGIN:VEVENT
                UID:yoga
                DTSTART;TZID=Europe/Berlin:20270301T180000
                DTEND;TZID=Europe/Berlin:20270301T190000
                RRULE:FREQ=WEEKLY;COUNT=6
                EXDATE;TZID=Europe/Berlin:20270308T180000
                RDATE;VALUE=PERIOD:20270303T170000Z/PT30M
                SUMMARY:Yoga\\, and a very long line that goes on and on until it is so
                  long that it has to be folded
                END:VEVENT
                BEGIN:VEVENT
                UID:yoga
                RECURRENCE-ID:20270315T170000Z
                DTSTART;TZID=Europe/Berlin:20270316T080000
                DTEND;TZID=Europe/Berlin:20270316T083000
                END:VEVENT
                BEGIN:VEVENT
                UID:yoga
                RECURRENCE-ID;TZID=Europe/Berlin:20270322T180000
                DTSTART;TZID=Europe/Berlin:20270322T180000
                STATUS:CANCELLED
                END:VEVENT"""
                        .replace("\n", "\r\n"));
        assertThat(read.busy())
                .containsExactly(
                        between("2027-03-01T18:00", "2027-03-01T19:00"),
                        between("2027-03-03T18:00", "2027-03-03T18:30"),
                        between("2027-03-16T08:00", "2027-03-16T08:30"),
                        between("2027-03-29T18:00", "2027-03-29T19:00"),
                        between("2027-04-05T18:00", "2027-04-05T19:00"));
    }

    @Test
    void oneOccurrenceAndAllThatFollowMoveTogether() throws Exception {
        BusyFile.Read read = read(
                "BEGIN:VEVENT",
                "UID:a",
                "DTSTART;TZID=Europe/Berlin:20270301T180000",
                "DURATION:PT1H",
                "RRULE:FREQ=WEEKLY;COUNT=4",
                "END:VEVENT",
                "BEGIN:VEVENT",
                "UID:a",
                "RECURRENCE-ID;RANGE=THISANDFUTURE;TZID=Europe/Berlin:20270315T180000",
                "DTSTART;TZID=Europe/Berlin:20270316T090000",
                "DURATION:PT2H",
                "END:VEVENT");
        assertThat(read.busy())
                .containsExactly(
                        between("2027-03-01T18:00", "2027-03-01T19:00"),
                        between("2027-03-08T18:00", "2027-03-08T19:00"),
                        between("2027-03-16T09:00", "2027-03-16T11:00"),
                        between("2027-03-23T09:00", "2027-03-23T11:00"));
    }

    @Test
    void aTimeThatClocksSkipIsReadAsBeforeAndOneThatIsThereTwiceIsTheFirst() throws Exception {
        assertThat(event("DTSTART;TZID=Europe/Berlin:20270328T023000", "DURATION:PT30M")
                        .busy())
                .containsExactly(between("2027-03-28T03:30", "2027-03-28T04:00"));
        BusyFile.Read autumn = BusyFile.read(
                "BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID:a\nDTSTART;TZID=Europe/Berlin:20261025T023000\nDURATION:PT15M\nEND:VEVENT\nEND:VCALENDAR",
                BERLIN,
                Instant.parse("2026-10-20T00:00:00Z"),
                TO);
        assertThat(autumn.busy().get(0).startInstant()).isEqualTo(Instant.parse("2026-10-25T00:30:00Z"));
    }

    @Test
    void oneEventThatCannotBeUnderstoodTakesNoOtherWithIt() throws Exception {
        BusyFile.Read read = read(
                "BEGIN:VEVENT\r\nUID:a\r\nDTSTART:yesterday\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:b\r\nDTSTART:20270302T090000Z\r\nDURATION:PT1H\r\nRRULE:FREQ=NEVER\r\nEND:VEVENT",
                "BEGIN:VEVENT\r\nUID:c\r\nDTSTART:20270302T090000Z\r\nDURATION:PT1H\r\nEND:VEVENT");
        assertThat(read.unread()).isEqualTo(2);
        assertThat(read.busy()).containsExactly(between("2027-03-02T10:00", "2027-03-02T11:00"));
    }

    @Test
    void whatIsNoCalendarOrTooMuchIsRefused() {
        assertThatThrownBy(() -> BusyFile.read("<html>no</html>", BERLIN, FROM, TO))
                .isInstanceOfSatisfying(
                        BusyFile.Refused.class, e -> assertThat(e.why()).isEqualTo(BusyFile.Refused.Why.NO_CALENDAR));
        for (String rule : List.of("FREQ=SECONDLY", "FREQ=MINUTELY", "FREQ=SECONDLY;UNTIL=20300101T000000Z")) {
            assertThatThrownBy(() -> event("DTSTART:20270301T000000Z", "DURATION:PT1S", "RRULE:" + rule))
                    .isInstanceOfSatisfying(
                            BusyFile.Refused.class, e -> assertThat(e.why()).isEqualTo(BusyFile.Refused.Why.TOO_MANY));
        }
    }

    @Test
    void aRuleOfTooManyStepsIsNotUnderstood() throws Exception {
        for (String rule : List.of("FREQ=SECONDLY", "FREQ=MINUTELY;BYMONTH=3", "FREQ=DAILY;COUNT=999999999")) {
            assertThat(event("DTSTART:19700101T000000Z", "DURATION:PT1S", "RRULE:" + rule)
                            .unread())
                    .as(rule)
                    .isEqualTo(1);
        }
        assertThat(event("DTSTART:19700101T090000Z", "DURATION:PT1H", "RRULE:FREQ=HOURLY;INTERVAL=24")
                        .occurrences())
                .isEqualTo(61);
    }

    /** Five hundred calendars, each minute of two months in which clocks change. */
    @Test
    void randomCalendarsAreBusyInExactlyTheMinutesOfAnIndependentExpansion() throws Exception {
        long first = FROM.getEpochSecond() / 60;
        int minutes = (int) (TO.getEpochSecond() / 60 - first);
        for (int seed = 0; seed < CALENDARS; seed++) {
            RandomCalendar calendar = new RandomCalendar(new Random(seed), BERLIN);
            BitSet expected = calendar.busy(FROM, TO);
            BitSet found = new BitSet();
            for (Interval busy :
                    BusyFile.read(calendar.text(), BERLIN, FROM, TO).busy()) {
                found.set((int) Math.max(0, busy.start() - first), (int)
                        Math.min(minutes, Math.max(0, busy.end() - first)));
            }
            assertThat(found).as("seed %d: %s", seed, calendar.text()).isEqualTo(expected);
        }
    }
}
