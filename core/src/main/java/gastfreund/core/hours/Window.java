package gastfreund.core.hours;

import java.util.Set;

/**
 * A stretch of a day in which something is open. It begins on its date at {@code from} and ends at {@code to}, on the
 * next date where {@code to} is at or before {@code from} ({@code docs/openings.md}, "Hours").
 *
 * @param from minutes after midnight, 0 to 1439
 * @param to minutes after midnight, 0 to 1440; 1440 is midnight at the end of the date
 * @param offers the only offers it counts for; empty means all
 * @param deskOnly whether it counts only when the desk asks
 */
public record Window(int from, int to, Set<OfferId> offers, boolean deskOnly) {

    /** @throws IllegalArgumentException where a time is outside its day */
    public Window {
        if (from < 0 || from > 1439 || to < 0 || to > 1440) {
            throw new IllegalArgumentException("a window lies within a day: " + from + ".." + to);
        }
        offers = Set.copyOf(offers);
    }

    /** A window for every offer and for everybody; times as in {@link #Window}. */
    public static Window of(int from, int to) {
        return new Window(from, to, Set.of(), false);
    }

    /** Whether it ends on the date after the one on which it begins. */
    public boolean overMidnight() {
        return to <= from;
    }

    /** Whether it counts for every query. */
    public boolean isForAll() {
        return offers.isEmpty() && !deskOnly;
    }

    /** Whether it counts for a query about this offer by this audience. */
    public boolean countsFor(OfferId offer, Audience audience) {
        return (offers.isEmpty() || offers.contains(offer)) && (!deskOnly || audience == Audience.DESK);
    }
}
