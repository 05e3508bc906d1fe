package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.sessions.Levels;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Judges what is booked and what timetables have as it stands, against everything else ({@code docs/openings.md},
 * "Clashes"): from the sessions, hours, timelines and levels by which openings are found.
 */
public final class Clashes {

    /** How many dates can be asked for. */
    public static final int MOST_DAYS = 400;

    /** Dates before and after those of sessions into which hours that matter can reach. */
    private static final int MARGIN = 3;

    /** What takes the one unit that an offer without staff and resources has at a place. */
    private record Implied(OfferId offer, @Nullable PlaceId place) {}

    /** An offer with what is asked of it for each of its sessions. */
    private record Asked(Offer offer, int order, List<Needs> needs) {}

    /** What the layers of a session's hours depend on. */
    private record Setting(OfferId offer, @Nullable PlaceId place, Set<StaffId> staff) {}

    private final House house;
    private final boolean onlyHours;
    private final Days days;
    private final Booked booked;
    private final List<Session> sessions;
    private final Map<OfferId, Asked> offers = new HashMap<>();
    private final Map<StaffId, List<Commitment>> ofStaff = new HashMap<>();
    private final Map<StaffId, Timeline> timelines = new HashMap<>();
    private final Map<Object, Levels.Builder> taken = new HashMap<>();
    private final Map<Object, Levels> levels = new HashMap<>();
    private final Map<OfferId, Map<Schedule, IntervalSet>> open = new HashMap<>();
    private final Map<Setting, List<Layer>> layers = new HashMap<>();
    private final Map<Set<StaffId>, List<Staff>> serving = new HashMap<>();

    private Clashes(
            House house,
            Booked booked,
            Instant now,
            LocalDate first,
            LocalDate last,
            Predicate<Booking> looked,
            boolean onlyHours) {
        this.onlyHours = onlyHours;
        this.house = house;
        this.booked = booked;
        for (Offer offer : house.offers()) {
            // A timetable has no implied resource.
            boolean none = offer.hasTimetable() && offer.impliesResource();
            offers.put(offer.id(), new Asked(offer, offers.size(), none ? List.of() : Needs.of(offer)));
        }
        long longest = house.longestSession().count()
                + house.mostPrep().count()
                + house.mostReset().count();
        long earliest = house.zone().startOf(first.minusDays(1)) - longest;
        long latest = house.zone().startOf(last.plusDays(2)) + longest;
        List<Booking> live = new ArrayList<>();
        for (Booking booking : booked.bookings()) {
            long end = booking.start() + booking.minutes().count() + longest;
            if (end > earliest && looked.test(booking) && booking.isLive(now)) {
                live.add(booking);
                latest = Math.max(latest, end);
            }
        }
        earliest = live.isEmpty() ? earliest : Math.min(earliest, live.get(0).start());
        Sessions gathered = Sessions.of(house, live, Interval.between(earliest, latest));
        sessions = new ArrayList<>(gathered.apart());
        sessions.addAll(gathered.shared().values());
        days = Days.between(
                house.zone(),
                house.zone().dateOf(earliest).minusDays(MARGIN),
                house.zone().dateOf(latest).plusDays(MARGIN));
    }

    /**
     * The sessions, booked or of a timetable, that start on some dates, have not ended, and no longer fit; by start, end,
     * offer, and the order in which they were booked.
     *
     * @param from the first date (inclusive)
     * @param to the last date (inclusive)
     * @throws IllegalArgumentException where there are none of these dates, or more than {@link #MOST_DAYS}
     */
    public static List<Clash> of(House house, Booked booked, LocalDate from, LocalDate to, Instant now) {
        long count = ChronoUnit.DAYS.between(from, to) + 1;
        if (count < 1 || count > MOST_DAYS) {
            throw new IllegalArgumentException("from the first to the last date there must be 1 to 400");
        }
        return new Clashes(house, booked, now, from, to, b -> true, false).judged(session -> {
            LocalDate date = house.zone().dateOf(session.guests().start());
            return goesOn(session, now) && !date.isBefore(from) && !date.isAfter(to);
        });
    }

    /**
     * Those of any date that have at least one booking, as far as a difference can touch them; where it can touch nothing but
     * hours, without the reasons that are not about hours, which are the same on both sides of it.
     */
    static List<Clash> ofBooked(House house, Booked booked, Instant now, Difference difference) {
        LocalDate today = house.zone().dateOf(now);
        return new Clashes(house, booked, now, today, today, difference::touches, difference.isOfHoursOnly())
                .judged(session ->
                        goesOn(session, now) && !session.bookings().isEmpty() && difference.touches(session));
    }

    private static boolean goesOn(Session session, Instant now) {
        return session.guests().endInstant().isAfter(now);
    }

    private Asked askedOf(Session session) {
        return Objects.requireNonNull(offers.get(session.offer()));
    }

    private static Object keyOf(Session session, Needs need) {
        return need.resource() == null ? new Implied(session.offer(), session.place()) : need.resource();
    }

    private List<Clash> judged(Predicate<Session> asked) {
        List<Session> judged = new ArrayList<>(sessions.stream().filter(asked).toList());
        judged.sort(Comparator.<Session>comparingLong(s -> s.guests().start())
                .thenComparingLong(s -> s.guests().end())
                .thenComparing(s -> askedOf(s).order())
                .thenComparing(positions(judged)::get));
        if (!onlyHours) {
            take(judged);
        }
        return judged.stream()
                .map(s -> new Clash(s, reasonsOf(s)))
                .filter(c -> !c.reasons().isEmpty())
                .toList();
    }

    /** Among sessions of one offer at one time, those that nobody booked come first, by entries; the others by bookings. */
    private Map<Session, Integer> positions(List<Session> judged) {
        Map<BookingId, Integer> bookingOrder = new HashMap<>();
        boolean shared =
                judged.stream().anyMatch(s -> askedOf(s).offer().sharing().shared());
        if (shared) {
            booked.bookings().forEach(b -> bookingOrder.put(b.id(), bookingOrder.size()));
        }
        Map<Session, Integer> positions = new IdentityHashMap<>();
        for (Session session : judged) {
            Offer offer = askedOf(session).offer();
            // Sessions that nobody shares are in the order of their bookings already.
            int position = !offer.sharing().shared()
                    ? 0
                    : session.bookings().isEmpty()
                            ? offer.entries().indexOf(session.entry()) - Integer.MAX_VALUE / 2
                            : bookingOrder.getOrDefault(
                                    session.bookings().get(0).id(), 0);
            positions.put(session, position);
        }
        return positions;
    }

    /** Notes what is taken of the people and things of those that are judged. */
    private void take(List<Session> judged) {
        for (Session session : judged) {
            session.staff().forEach(s -> ofStaff.computeIfAbsent(s, p -> new ArrayList<>()));
            askedOf(session).needs().forEach(n -> taken.computeIfAbsent(keyOf(session, n), k -> new Levels.Builder()));
        }
        for (Session session : sessions) {
            for (StaffId person : session.staff()) {
                List<Commitment> commitments = ofStaff.get(person);
                if (commitments != null) {
                    commitments.add(new Commitment.OfSession(session));
                }
            }
            for (Needs need : askedOf(session).needs()) {
                Levels.Builder builder = taken.get(keyOf(session, need));
                if (builder != null) {
                    builder.take(session.taken().start(), session.taken().end(), need.of(session));
                }
            }
        }
        for (Busy busy : booked.busyTouching(days.span())) {
            List<Commitment> commitments = ofStaff.get(busy.staff());
            if (commitments != null) {
                commitments.add(new Commitment.OfBusy(busy));
            }
        }
    }

    private List<Reason> reasonsOf(Session session) {
        List<Reason> reasons = new ArrayList<>();
        LocalDate date = house.zone().dateOf(session.guests().start());
        if (house.hours().closedOn(date)) {
            reasons.add(new Reason.Closed(house.hours().exceptionOn(date).orElseThrow()));
        }
        hours(session, date, reasons);
        if (!onlyHours) {
            busy(session, reasons);
            full(session, reasons);
            seats(session, reasons);
        }
        return reasons;
    }

    private void hours(Session session, LocalDate date, List<Reason> reasons) {
        Offer offer = askedOf(session).offer();
        for (Layer layer : layersOf(session, offer)) {
            IntervalSet within = openTimeOf(layer.hours(), offer);
            boolean outside = offer.hasTimetable()
                    ? layer.isOfOneThing() && layer.hours().closedOn(date)
                    : !within.encloses(
                            session.guests().start(), session.guests().end());
            if (outside) {
                reasons.add(new Reason.OutsideHours(layer, within));
            }
        }
    }

    private IntervalSet openTimeOf(Schedule hours, Offer offer) {
        return open.computeIfAbsent(offer.id(), id -> new HashMap<>())
                .computeIfAbsent(hours, h -> h.openTimeWithin(days, offer.id(), Audience.DESK));
    }

    private List<Layer> layersOf(Session session, Offer offer) {
        return layers.computeIfAbsent(new Setting(offer.id(), session.place(), session.staff()), setting -> {
            List<StaffId> serving = servingIn(session).stream().map(Staff::id).toList();
            return Layer.of(
                    house, offer, session.place(), serving, askedOf(session).needs());
        });
    }

    /** Who serves in a session, in the order of the house. */
    private List<Staff> servingIn(Session session) {
        return serving.computeIfAbsent(
                session.staff(),
                ids -> house.staff().stream().filter(s -> ids.contains(s.id())).toList());
    }

    private void busy(Session session, List<Reason> reasons) {
        long from = session.taken().start();
        long to = session.taken().end();
        for (Staff person : servingIn(session)) {
            Timeline timeline =
                    timelines.computeIfAbsent(person.id(), id -> Timeline.of(ofStaff.getOrDefault(id, List.of())));
            if (timeline.taken(from, to, session)) {
                reasons.add(new Reason.StaffBusy(person.id(), () -> timeline.overlapping(from, to, session)));
            }
        }
    }

    private void full(Session session, List<Reason> reasons) {
        List<Needs> all = askedOf(session).needs();
        for (Resource resource : house.resources()) {
            all.stream()
                    .filter(n -> resource.id().equals(n.resource()))
                    .forEach(n -> full(session, n, resource.units(), reasons));
        }
        all.stream().filter(n -> n.resource() == null).forEach(n -> full(session, n, 1, reasons));
    }

    private void full(Session session, Needs need, int units, List<Reason> reasons) {
        int own = need.of(session);
        int all = own == 0
                ? 0
                : levelsOf(session, need)
                        .most(session.taken().start(), session.taken().end());
        if (all > units) {
            reasons.add(new Reason.Full(need.resource(), units, all - own, own, () -> takingUnits(session, need)));
        }
    }

    private Levels levelsOf(Session session, Needs need) {
        return levels.computeIfAbsent(
                keyOf(session, need), k -> Objects.requireNonNull(taken.get(k)).build());
    }

    private List<Commitment> takingUnits(Session session, Needs need) {
        Object key = keyOf(session, need);
        return sessions.stream()
                .filter(s -> s != session
                        && s.taken().start() < session.taken().end()
                        && s.taken().end() > session.taken().start())
                .filter(s ->
                        askedOf(s).needs().stream().anyMatch(n -> keyOf(s, n).equals(key) && n.of(s) > 0))
                .sorted(Comparator.comparingLong(s -> s.taken().start()))
                .<Commitment>map(Commitment.OfSession::new)
                .toList();
    }

    private void seats(Session session, List<Reason> reasons) {
        Offer offer = askedOf(session).offer();
        int seats = Optional.ofNullable(session.entry())
                .map(e -> e.seats())
                .filter(OptionalInt::isPresent)
                .map(OptionalInt::getAsInt)
                .orElse(offer.sharing().seats());
        if (offer.sharing().shared() && seats > 0 && session.persons() > seats) {
            reasons.add(new Reason.Seats(seats - session.persons()));
        }
    }
}
