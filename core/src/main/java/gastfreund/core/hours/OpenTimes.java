package gastfreund.core.hours;

import gastfreund.core.time.Days;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The open times of one schedule that were asked for, kept for dates around them: almost every query of a house asks for the
 * same. A schedule never changes, so what is kept is never wrong; it goes with the schedule.
 */
final class OpenTimes {

    /** So many dates are kept together at most; what lies farther apart takes the place of what was there. */
    private static final int MOST_DATES = 800;

    private static final int BEFORE = 7;
    private static final int AFTER = 90;

    /** By offer and audience, where some window is not for everybody. */
    private static final int MOST = 200;

    /** Whom it was asked for; both null where every window counts for everybody. */
    private record For(HouseZone zone, @Nullable OfferId offer, @Nullable Audience audience) {}

    /** From the windows that begin on the dates from {@code first} to {@code last}, both inclusive. */
    private record Kept(LocalDate first, LocalDate last, IntervalSet open) {

        boolean has(LocalDate from, LocalDate to) {
            return !first.isAfter(from) && !last.isBefore(to);
        }
    }

    private final Schedule schedule;
    private final boolean forAll;
    private final Map<For, Kept> kept = new ConcurrentHashMap<>(2);

    OpenTimes(Schedule schedule, boolean forAll) {
        this.schedule = schedule;
        this.forAll = forAll;
    }

    /** What is open between the start of the first date and the end of the last. */
    IntervalSet within(Days days, OfferId offer, Audience audience) {
        LocalDate from = days.date(0);
        LocalDate to = days.date(days.count() - 1);
        For asked = new For(days.zone(), forAll ? null : offer, forAll ? null : audience);
        Kept there = kept.get(asked);
        if (there == null || !there.has(from, to)) {
            there = made(there, from, to, days.zone(), offer, audience);
            if (kept.size() >= MOST) {
                kept.clear();
            }
            kept.put(asked, there);
        }
        return there.open().within(days.span());
    }

    private Kept made(
            @Nullable Kept before, LocalDate from, LocalDate to, HouseZone zone, OfferId offer, Audience audience) {
        LocalDate first = from.minusDays(BEFORE);
        LocalDate last = to.plusDays(AFTER);
        if (before != null) {
            LocalDate both = before.first().isBefore(first) ? before.first() : first;
            LocalDate end = before.last().isAfter(last) ? before.last() : last;
            if (ChronoUnit.DAYS.between(both, end) < MOST_DATES) {
                first = both;
                last = end;
            }
        }
        return new Kept(first, last, schedule.openTime(Days.between(zone, first, last), offer, audience));
    }
}
