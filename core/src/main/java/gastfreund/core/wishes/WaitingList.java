package gastfreund.core.wishes;

import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Who gets what has come free ({@code docs/waiting.md}): the first wish in the list that anything fits. So a wish is never
 * passed by while something fits it.
 */
public final class WaitingList {

    private WaitingList() {}

    /**
     * What fits a wish.
     *
     * @param query that was asked for it
     * @param entry the earliest opening; of those that begin at once, the one of the dearest wish
     */
    public record Fit(Wish wish, Query query, Answer.Entry entry) {}

    /**
     * The first of some wishes that an opening fits, with that opening; empty where none does.
     *
     * @param wishes in the order of the list
     * @param booked what takes time, as far as {@link #reach} goes at least
     */
    public static Optional<Fit> first(House house, Booked booked, List<Wish> wishes, Instant now) {
        for (Wish wish : wishes) {
            Optional<Fit> fit = fit(house, booked, wish, now);
            if (fit.isPresent()) {
                return fit;
            }
        }
        return Optional.empty();
    }

    /** The earliest opening that fits a wish; empty where none does. */
    public static Optional<Fit> fit(House house, Booked booked, Wish wish, Instant now) {
        Fit best = null;
        for (Query query : wish.queries(house, now)) {
            Optional<Answer.Entry> entry = Openings.openings(house, booked, query).entries().stream()
                    .filter(Answer.Entry::isOpen)
                    .filter(e -> wish.mayBegin(e.time().start(), house.zone()))
                    .findFirst();
            if (entry.isPresent()
                    && (best == null
                            || entry.get().time().start() < best.entry().time().start())) {
                best = new Fit(wish, query, entry.get());
            }
        }
        return Optional.ofNullable(best);
    }

    /** One stretch of time in which all lies that matters to some wishes; of no length where nothing does. */
    public static Interval reach(House house, List<Wish> wishes, Instant now) {
        long start = Long.MAX_VALUE;
        long end = Long.MIN_VALUE;
        for (Wish wish : wishes) {
            for (Query query : wish.queries(house, now)) {
                Interval reach = Openings.reach(house, query);
                if (reach.start() < reach.end()) {
                    start = Math.min(start, reach.start());
                    end = Math.max(end, reach.end());
                }
            }
        }
        return start < end ? Interval.between(start, end) : Interval.between(0, 0);
    }
}
