package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer.Judged;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The same time again, every so many weeks ({@code docs/openings.md}, "Series"). */
public final class Series {

    /** How often the same time can be wanted: from 2 to so many times. */
    public static final int MOST_TIMES = 52;

    /** How many weeks can lie between two dates. */
    public static final int MOST_WEEKS = 8;

    private static final int NEAREST = 3;

    private Series() {}

    /**
     * A wish for the same time again.
     *
     * @param query what is wanted; its dates do not count
     * @param start the first one, in minutes since the epoch
     * @param times how many dates, from 2 to {@link #MOST_TIMES}
     * @param every how many weeks lie between two dates, from 1 to {@link #MOST_WEEKS}
     * @param instead for some dates another start, in minutes since the epoch, which is taken where it can be had
     */
    public record Wish(Query query, long start, int times, int every, Map<LocalDate, Long> instead) {

        /** @throws IllegalArgumentException where a number is out of its bounds */
        public Wish {
            if (times < 2 || times > MOST_TIMES || every < 1 || every > MOST_WEEKS) {
                throw new IllegalArgumentException("a series has 2 to 52 dates, 1 to 8 weeks apart");
            }
            instead = Map.copyOf(instead);
        }

        /** The same time on every date. */
        public static Wish of(Query query, long start, int times, int every) {
            return new Wish(query, start, times, every, Map.of());
        }

        /** The last date of the series in a zone. */
        public LocalDate last(HouseZone zone) {
            return zone.dateOf(start).plusWeeks((long) (times - 1) * every);
        }
    }

    /**
     * A date of a series.
     *
     * @param time when it would be, in minutes since the epoch; null where the wanted time is not to be had
     * @param option who serves, and what it costs; null where the wanted time is not to be had
     * @param nearest the starts nearest to the wanted one on that date, in minutes since the epoch, the nearest first; empty where
     *     the wanted time is to be had, or nothing is
     */
    public record Date(LocalDate date, @Nullable Interval time, @Nullable Judged option, List<Long> nearest) {

        public Date {
            nearest = List.copyOf(nearest);
        }

        public boolean isFree() {
            return option != null;
        }
    }

    /**
     * All dates of a series.
     *
     * @param refusal why it cannot be asked at all; null where it can
     */
    public record Found(@Nullable Refusal refusal, List<Date> dates) {

        public Found {
            dates = List.copyOf(dates);
        }

        /** How many dates are free. */
        public int free() {
            return (int) dates.stream().filter(Date::isFree).count();
        }

        /** What the free dates cost together. */
        public Money price() {
            return priceOf(dates);
        }
    }

    /** What some dates cost together; those that are not free cost nothing. */
    public static Money priceOf(List<Date> dates) {
        return Money.sum(dates.stream()
                .flatMap(d -> Optional.ofNullable(d.option()).stream())
                .map(o -> o.opening().price())
                .toList());
    }

    /**
     * Looks for the same time again, date by date; what is found on one counts as booked on those after it.
     *
     * @param booked all that can matter on its dates and in their weeks
     * @throws IllegalArgumentException where the house does not have the offer
     */
    public static Found of(House house, Booked booked, Wish wish) {
        Query query = wish.query();
        Offer offer = house.offer(query.offer())
                .orElseThrow(() -> new IllegalArgumentException("the house has no offer " + query.offer()));
        if (offer.hasTimetable()) {
            return new Found(Refusal.SERIES, List.of());
        }
        HouseZone zone = house.zone();
        LocalDateTime first = zone.localOf(wish.start());
        List<Date> dates = new ArrayList<>();
        Booked taken = booked;
        Set<StaffId> people = null;
        for (int i = 0; i < wish.times(); i++) {
            LocalDate date = first.toLocalDate().plusWeeks((long) i * wish.every());
            LocalDateTime local = date.atTime(first.toLocalTime());
            long wanted = i == 0 ? wish.start() : zone.minuteOf(local);
            Query on = query.between(date, date);
            Answer answer = Openings.openings(house, taken, on);
            if (answer.refusal() != null) {
                return new Found(answer.refusal(), List.of());
            }
            boolean skipped = i > 0 && zone.skips(local);
            Optional<Answer.Entry> entry =
                    at(answer, wish.instead().get(date)).or(() -> skipped ? Optional.empty() : at(answer, wanted));
            if (entry.isEmpty()) {
                dates.add(new Date(date, null, null, nearest(answer, wanted)));
                continue;
            }
            Judged option = option(house, taken, on, entry.get(), people);
            people = people == null ? new HashSet<>(option.staff()) : people;
            dates.add(new Date(date, entry.get().time(), option, List.of()));
            taken = taken.with(booking(house, offer, query, entry.get().time(), option, i));
        }
        return new Found(null, dates);
    }

    private static Optional<Answer.Entry> at(Answer answer, @Nullable Long start) {
        return answer.entries().stream()
                .filter(e -> start != null && e.time().start() == start)
                .findFirst();
    }

    /** The same people as on the first date that was free, or else whoever is given to somebody who names nobody. */
    private static Judged option(
            House house, Booked booked, Query query, Answer.Entry entry, @Nullable Set<StaffId> people) {
        return entry.open().stream()
                .filter(o -> people != null && new HashSet<>(o.staff()).equals(people))
                .findFirst()
                .orElseGet(() -> Assignment.of(house, booked, query, entry));
    }

    private static List<Long> nearest(Answer answer, long wanted) {
        return answer.entries().stream()
                .map(e -> e.time().start())
                .distinct()
                .sorted(Comparator.<Long>comparingLong(s -> Math.abs(s - wanted))
                        .thenComparing(s -> s))
                .limit(NEAREST)
                .toList();
    }

    private static Booking booking(House house, Offer offer, Query query, Interval time, Judged option, int number) {
        return new Booking(
                new BookingId("series-" + number),
                offer.id(),
                time.start(),
                time.length(),
                option.staff(),
                place(house, offer, query),
                query.party(),
                BookingStatus.CONFIRMED,
                null,
                query.addOns());
    }

    /** The query's place, or the offer's first; null where it has none. */
    private static @Nullable PlaceId place(House house, Offer offer, Query query) {
        if (query.place() != null) {
            return query.place();
        }
        List<PlaceId> places = house.placesOf(offer);
        return places.isEmpty() ? null : places.get(0);
    }
}
