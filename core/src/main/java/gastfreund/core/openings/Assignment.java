package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.time.Interval;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Who serves whoever names nobody ({@code docs/openings.md}, "Who gets it"). */
public final class Assignment {

    private Assignment() {}

    /**
     * The option that is taken, of those of an opening: one at the lowest price, uncontested if there is one, and of these
     * the one that the offer assigns.
     *
     * @param booked all that is booked in the week of the start ({@link #week})
     * @param query by which the opening was found; bookings that it leaves out do not count
     * @throws java.util.NoSuchElementException where no option of the entry is open
     */
    public static Answer.Judged of(House house, Booked booked, Query query, Answer.Entry entry) {
        Money lowest = entry.open().stream()
                .map(o -> o.opening().price())
                .min(Money::compareTo)
                .orElseThrow();
        List<Answer.Judged> cheapest = entry.open().stream()
                .filter(o -> o.opening().price().equals(lowest))
                .toList();
        List<Answer.Judged> uncontested =
                cheapest.stream().filter(o -> !o.opening().contested()).toList();
        List<Answer.Judged> left = uncontested.isEmpty() ? cheapest : uncontested;
        Offer offer = house.offer(query.offer()).orElseThrow();
        boolean least = !offer.hasTimetable()
                && offer.serving().pick() == Serving.Pick.ANY
                && offer.serving().assign() == Serving.Assign.LEAST;
        if (!least || left.size() == 1) {
            return left.get(0);
        }
        Interval week = week(house, entry.time().start());
        List<Session> sessions = sessionsIn(house, booked, query, week);
        // The first of equals stays the first: options are in the offer's order.
        return left.stream()
                .min(Comparator.comparingLong(o -> minutes(sessions, o.staff().get(0))))
                .orElseThrow();
    }

    /** The week of a start: from its Monday (inclusive) to the next (exclusive), by local dates. */
    public static Interval week(House house, long start) {
        LocalDate monday = house.zone().dateOf(start).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return Interval.between(house.zone().startOf(monday), house.zone().startOf(monday.plusDays(7)));
    }

    private static List<Session> sessionsIn(House house, Booked booked, Query query, Interval week) {
        List<Booking> live = booked.bookings().stream()
                .filter(b -> b.isLive(query.now()) && !query.without().contains(b.id()))
                .filter(b -> b.start() >= week.start() && b.start() < week.end())
                .toList();
        Sessions sessions = Sessions.of(house, live, week);
        return Stream.concat(sessions.apart().stream(), sessions.shared().values().stream())
                .toList();
    }

    /** The minutes of guests' time that a person serves. */
    private static long minutes(List<Session> sessions, StaffId person) {
        return sessions.stream()
                .filter(s -> s.staff().contains(person))
                .mapToLong(s -> s.guests().length().count())
                .sum();
    }
}
