package gastfreund.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Hours as they are changed: a weekday at a time, and exceptions laid over what was, beside a plain look at each date. */
class WeekTest {

    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final int DAYS = 40;

    private static List<Window> windows(SplittableRandom random) {
        List<Window> windows = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            windows.add(Window.of(random.nextInt(1440), random.nextInt(1441)));
        }
        return windows;
    }

    private static HoursException exception(SplittableRandom random) {
        LocalDate from = FIRST.plusDays(random.nextInt(DAYS));
        return new HoursException(from, from.plusDays(random.nextInt(12)), windows(random));
    }

    private static Schedule schedule(SplittableRandom random) {
        List<HoursException> exceptions = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            exceptions.add(exception(random));
        }
        List<WeeklyWindow> weekly = new ArrayList<>();
        for (Window window : windows(random)) {
            Set<DayOfWeek> days = EnumSet.of(DayOfWeek.of(1 + random.nextInt(7)), DayOfWeek.SUNDAY);
            weekly.add(new WeeklyWindow(days, window));
        }
        return random.nextInt(4) == 0 ? Schedule.allDayBut(exceptions) : Schedule.of(weekly, exceptions);
    }

    private static void sameOn(Schedule one, Schedule other, LocalDate date) {
        assertThat(Set.copyOf(other.windowsOn(date))).as(date.toString()).isEqualTo(Set.copyOf(one.windowsOn(date)));
        assertThat(other.closedOn(date)).as(date.toString()).isEqualTo(one.closedOn(date));
    }

    private static void onEachDate(Consumer<LocalDate> look) {
        for (int day = -15; day < DAYS + 15; day++) {
            look.accept(FIRST.plusDays(day));
        }
    }

    @Property
    void exceptionsApartDecideAsTheyDidAndNoTwoCoverADate(@ForAll long seed) {
        Schedule hours = schedule(new SplittableRandom(seed));
        List<HoursException> apart = hours.exceptionsApart();
        Schedule again = hours.weekly().map(w -> Schedule.of(w, apart)).orElse(Schedule.allDayBut(apart));
        onEachDate(date -> {
            assertThat(apart.stream().filter(e -> e.covers(date)).count()).isLessThanOrEqualTo(1);
            sameOn(hours, again, date);
        });
        assertThat(apart).isSortedAccordingTo((a, b) -> a.from().compareTo(b.from()));
    }

    @Property
    void anExceptionLaidOverWhatWasDecidesAboutItsDatesAndNoOther(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Schedule hours = schedule(random);
        HoursException laid = exception(random);
        Schedule with = hours.with(laid);
        Schedule without = with.withoutExceptions(laid.from(), laid.to());
        onEachDate(date -> {
            if (laid.covers(date)) {
                assertThat(with.windowsOn(date)).isEqualTo(laid.windows());
                assertThat(without.exceptionOn(date)).isEmpty();
            } else {
                sameOn(hours, with, date);
                sameOn(hours, without, date);
            }
        });
    }

    @Property
    void aWeekdayIsChangedAloneAndAWeekIsWhatItsDaysAre(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Schedule hours = schedule(random);
        DayOfWeek day = DayOfWeek.of(1 + random.nextInt(7));
        List<Window> fresh = windows(random).stream().distinct().toList();
        Schedule changed = hours.withDay(day, fresh);
        Map<DayOfWeek, List<Window>> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek each : DayOfWeek.values()) {
            week.put(each, hours.windowsOn(each));
            List<Window> expected = each == day ? fresh : hours.windowsOn(each);
            assertThat(Set.copyOf(changed.windowsOn(each))).isEqualTo(Set.copyOf(expected));
        }
        Schedule same = Schedule.ofWeek(week, hours.exceptions());
        onEachDate(date -> sameOn(hours, same, date));
    }

    @Example
    void windowsThatAreAlikeAreWrittenOnceForAllTheirDays() {
        Window morning = Window.of(540, 720);
        Schedule week = Schedule.ofWeek(
                Map.of(DayOfWeek.MONDAY, List.of(morning), DayOfWeek.FRIDAY, List.of(morning)), List.of());
        assertThat(week.weekly().orElseThrow())
                .containsExactly(new WeeklyWindow(Set.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY), morning));
        assertThat(Schedule.ofWeek(Map.of(), List.of()).weekly()).contains(List.of());
    }
}
