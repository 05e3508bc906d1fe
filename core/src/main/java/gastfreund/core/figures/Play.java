package gastfreund.core.figures;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a form of the house would have sold of what was asked for ({@code docs/figures.md}, "Looked for, and not found"): one
 * after the other, each takes the first opening that it finds, and whoever asks after it finds it taken.
 */
public final class Play {

    private Play() {}

    /**
     * Something that was asked for.
     *
     * @param query with the moment at which it was asked; any of its dates would have done
     * @param instead what would be asked where there is nothing; null: nothing else
     * @param times how many guests asked for it, at least one
     */
    public record Wanted(Query query, @Nullable Query instead, int times) {

        /** @throws IllegalArgumentException where nobody asked */
        public Wanted {
            if (times < 1) {
                throw new IllegalArgumentException("somebody has to ask");
            }
        }

        /** What can matter to it; empty where it is refused. */
        private Interval reach(House house) {
            Interval own = Openings.reach(house, query);
            Interval other = instead == null ? own : Openings.reach(house, instead);
            if (own.start() == own.end() || other.start() == other.end()) {
                return own.start() == own.end() ? other : own;
            }
            return Interval.between(Math.min(own.start(), other.start()), Math.max(own.end(), other.end()));
        }
    }

    /**
     * What came of it.
     *
     * @param asked how many guests asked
     * @param had how many of them would have found an opening
     * @param money what these would have cost
     */
    public record Result(int asked, int had, Money money) {

        /** What it is more than another of the same questions; less where it is negative. */
        public Result minus(Result other) {
            return new Result(asked, had - other.had, money.minus(other.money));
        }
    }

    /**
     * Plays what was asked for.
     *
     * @param house the form of the house; what it does not have any more cannot be had
     * @param booked all that takes time on the dates that were asked for
     * @param wanted in any order; earlier ones come first
     */
    public static Result of(House house, Booked booked, List<Wanted> wanted) {
        List<Booking> all = new ArrayList<>(booked.bookings());
        int asked = 0;
        int had = 0;
        Money money = Money.ZERO;
        List<Wanted> inOrder = wanted.stream()
                .sorted(Comparator.comparing(w -> w.query().now()))
                .toList();
        for (Wanted one : inOrder) {
            asked += one.times();
            // Only what is near is asked each time, and copied for each guest.
            Booked near = near(house, all, booked, one);
            for (int guest = 0; guest < one.times(); guest++) {
                Query query = one.query();
                Optional<Answer.Entry> found = first(house, near, query);
                if (found.isEmpty() && one.instead() != null) {
                    query = one.instead();
                    found = first(house, near, query);
                }
                if (found.isEmpty()) {
                    break;
                }
                Answer.Judged option = cheapest(found.get());
                had++;
                money = money.plus(option.opening().price());
                Booking taken = booking(query, found.get(), option, had);
                all.add(taken);
                near = near.with(taken);
            }
        }
        return new Result(asked, had, money);
    }

    /** What can stand against a question. */
    private static Booked near(House house, List<Booking> all, Booked booked, Wanted wanted) {
        if (house.offer(wanted.query().offer()).isEmpty()) {
            return Booked.nothing();
        }
        Interval whole = wanted.reach(house);
        return Booked.of(
                all.stream()
                        .filter(b -> Interval.startingAt(b.start(), b.minutes()).overlaps(whole))
                        .toList(),
                booked.busyTouching(whole));
    }

    private static Optional<Answer.Entry> first(House house, Booked taken, Query query) {
        return house.offer(query.offer()).isEmpty()
                ? Optional.empty()
                : Openings.openings(house, taken, query).entries().stream().findFirst();
    }

    private static Answer.Judged cheapest(Answer.Entry entry) {
        return entry.open().stream()
                .min(Comparator.comparing(o -> o.opening().price()))
                .orElseThrow();
    }

    private static Booking booking(Query query, Answer.Entry entry, Answer.Judged option, int number) {
        return new Booking(
                new BookingId("played-" + number),
                query.offer(),
                entry.time().start(),
                entry.time().length(),
                option.staff(),
                option.place(),
                query.party(),
                BookingStatus.CONFIRMED,
                null,
                query.addOns());
    }
}
