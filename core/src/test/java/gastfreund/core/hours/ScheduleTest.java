package gastfreund.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.time.Days;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ScheduleTest {

    private static final OfferId LESSON = new OfferId("lesson");
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 11);
    private static final Days WEEK = Days.between(HouseZone.of("Europe/Berlin"), MONDAY, MONDAY.plusDays(6));

    private static WeeklyWindow daily(int from, int to) {
        return new WeeklyWindow(EnumSet.allOf(DayOfWeek.class), Window.of(from, to));
    }

    private static Interval onDay(int day, int from, int to) {
        return Interval.between(WEEK.at(day, from), WEEK.at(day, to));
    }

    private static List<Interval> open(Schedule schedule, Audience audience) {
        return schedule.openTime(WEEK, LESSON, audience).intervals();
    }

    @Test
    void theLastExceptionThatCoversADateDecides() {
        Schedule schedule = Schedule.of(
                List.of(daily(540, 600)),
                List.of(
                        new HoursException(MONDAY, MONDAY.plusDays(3), List.of()),
                        new HoursException(MONDAY.plusDays(1), MONDAY.plusDays(1), List.of(Window.of(720, 780)))));
        assertThat(open(schedule, Audience.GUEST))
                .containsExactly(onDay(1, 720, 780), onDay(4, 540, 600), onDay(5, 540, 600), onDay(6, 540, 600));
        assertThat(schedule.closedOn(MONDAY)).isTrue();
        assertThat(schedule.closedOn(MONDAY.plusDays(1))).isFalse();
    }

    @Test
    void aWindowOfTheNightBeforeRunsIntoAClosure() {
        Schedule schedule = Schedule.of(
                List.of(new WeeklyWindow(Set.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY), Window.of(1320, 360))),
                List.of(new HoursException(MONDAY.plusDays(1), MONDAY.plusDays(1), List.of())));
        assertThat(open(schedule, Audience.GUEST)).containsExactly(Interval.between(WEEK.at(0, 1320), WEEK.at(1, 360)));
    }

    @Test
    void windowsForOthersAndForTheDeskDoNotCount() {
        Schedule schedule = Schedule.of(
                List.of(
                        new WeeklyWindow(
                                Set.of(DayOfWeek.MONDAY), new Window(540, 600, Set.of(new OfferId("call")), false)),
                        new WeeklyWindow(Set.of(DayOfWeek.MONDAY), new Window(660, 720, Set.of(), true))),
                List.of());
        assertThat(open(schedule, Audience.GUEST)).isEmpty();
        assertThat(open(schedule, Audience.DESK)).containsExactly(onDay(0, 660, 720));
        assertThat(schedule.openTime(WEEK).size()).isEqualTo(2);
    }

    @Test
    void withoutWeeklyItIsAlwaysOpenAndWithNoneNever() {
        assertThat(open(Schedule.always(), Audience.GUEST)).containsExactly(WEEK.span());
        assertThat(open(Schedule.of(List.of(), List.of()), Audience.GUEST)).isEmpty();
        Schedule but = Schedule.allDayBut(List.of(new HoursException(MONDAY, MONDAY, List.of())));
        assertThat(open(but, Audience.GUEST)).containsExactly(Interval.between(WEEK.start(1), WEEK.start(7)));
        assertThat(but.isAlways()).isFalse();
    }

    /** What is kept is the same in whatever order it was asked for, and for whom. */
    @Test
    void keptOpenTimesAreThoseThatTheWindowsMake() {
        Schedule schedule = Schedule.of(
                List.of(
                        daily(1320, 120),
                        new WeeklyWindow(
                                Set.of(DayOfWeek.MONDAY), new Window(540, 600, Set.of(new OfferId("call")), false)),
                        new WeeklyWindow(Set.of(DayOfWeek.SUNDAY), new Window(660, 720, Set.of(), true))),
                List.of(new HoursException(MONDAY.plusDays(1), MONDAY.plusDays(1), List.of())));
        for (int from : new int[] {0, 300, -40, 5000, 1, -900}) {
            for (int count : new int[] {1, 7, 100, 1000}) {
                for (OfferId offer : List.of(LESSON, new OfferId("call"))) {
                    for (Audience audience : Audience.values()) {
                        LocalDate first = MONDAY.plusDays(from);
                        Days days = Days.between(WEEK.zone(), first, first.plusDays(count - 1L));
                        Days wider = Days.between(WEEK.zone(), first.minusDays(2), first.plusDays(count));
                        assertThat(schedule.openTimeWithin(days, offer, audience))
                                .isEqualTo(schedule.openTime(wider, offer, audience)
                                        .within(days.span()));
                    }
                }
            }
        }
    }
}
