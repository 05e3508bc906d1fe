package gastfreund.core.figures;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.figures.Track.Kind;
import gastfreund.core.figures.Track.Stretch;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Layer;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * How much of the time that could be sold was sold: of each person, each resource and each offer ({@code docs/figures.md},
 * "Time"). What could be sold follows the hours that guests find, as they stand in the house that is given.
 */
public final class SoldTime {

    private final House house;
    private final Interval span;
    private final Days days;
    private final Map<Offer, Map<Schedule, IntervalSet>> open = new IdentityHashMap<>();
    private final Map<StaffId, List<Interval>> could = new HashMap<>();
    private final Map<ResourceId, List<Interval>> units = new HashMap<>();
    private final Map<OfferId, List<Interval>> offered = new HashMap<>();
    private final Map<StaffId, List<Interval>> served = new HashMap<>();
    private final Map<ResourceId, List<Stretch>> used = new HashMap<>();
    private final Map<OfferId, List<Interval>> had = new HashMap<>();

    private SoldTime(House house, Interval span) {
        this.house = house;
        this.span = span;
        this.days = Days.between(
                house.zone(),
                house.zone().dateOf(span.start()).minusDays(1),
                house.zone().dateOf(span.end() - 1));
    }

    /**
     * The tracks of all people, then of all resources, then of all offers, each in the house's order.
     *
     * @param booked all that touches the span; what is held, asked for or ended without taking place is not sold
     * @param span start inclusive, end exclusive, not empty; what lies outside does not count
     */
    public static List<Track> of(House house, Booked booked, Interval span) {
        SoldTime time = new SoldTime(house, span);
        house.onSale().stream().filter(o -> !o.hasTimetable()).forEach(time::addHours);
        time.addSessions(booked.bookings().stream().filter(SoldTime::isSold).toList());
        return time.tracks(booked.busyTouching(span));
    }

    private static boolean isSold(Booking booking) {
        return booking.status() == BookingStatus.CONFIRMED
                || booking.status() == BookingStatus.COMPLETED
                || booking.status() == BookingStatus.NO_SHOW;
    }

    private void addHours(Offer offer) {
        List<Needs> needs = Needs.of(offer);
        List<PlaceId> places = house.placesOf(offer);
        if (places.isEmpty() && !offer.places().isEmpty()) {
            return;
        }
        for (PlaceId place : places.isEmpty() ? Collections.<PlaceId>singletonList(null) : places) {
            for (List<StaffId> staff : house.options(offer)) {
                IntervalSet hours = inSeason(offer);
                for (Layer layer : Layer.of(house, offer, place, staff, needs)) {
                    hours = hours.intersect(openTime(offer, layer.hours()));
                }
                add(hours, offer, staff, needs);
            }
        }
    }

    private void add(IntervalSet hours, Offer offer, List<StaffId> staff, List<Needs> needs) {
        List<Interval> times = hours.intervals();
        staff.forEach(s -> list(could, s).addAll(times));
        needs.stream().filter(n -> n.resource() != null).forEach(n -> list(units, n.resource())
                .addAll(times));
        list(offered, offer.id()).addAll(times);
    }

    private static <K, V> List<V> list(Map<K, List<V>> lists, K key) {
        return lists.computeIfAbsent(key, k -> new ArrayList<>());
    }

    private IntervalSet inSeason(Offer offer) {
        IntervalSet.Builder season = new IntervalSet.Builder();
        for (int day = 0; day < days.count(); day++) {
            if (offer.bounds().inSeason(days.date(day))) {
                season.add(days.start(day), days.start(day + 1));
            }
        }
        return season.build().within(span);
    }

    private IntervalSet openTime(Offer offer, Schedule hours) {
        return open.computeIfAbsent(offer, o -> new IdentityHashMap<>())
                .computeIfAbsent(hours, h -> h.openTime(days, offer.id(), Audience.GUEST));
    }

    private void addSessions(List<Booking> sold) {
        // A session of a timetable that began the day before may reach into the span.
        Interval starts = Interval.between(days.start(0), span.end());
        Sessions sessions = Sessions.of(house, sold, starts);
        sessions.apart().forEach(this::add);
        sessions.shared().values().forEach(this::add);
    }

    private void add(Session session) {
        for (Interval time : IntervalSet.of(session.guests()).within(span).intervals()) {
            if (session.timetabled()) {
                session.staff().forEach(s -> list(could, s).add(time));
                list(offered, session.offer()).add(time);
            }
            if (!session.bookings().isEmpty()) {
                session.staff().forEach(s -> list(served, s).add(time));
                list(had, session.offer()).add(time);
            }
            for (Needs need : Needs.of(house.offer(session.offer()).orElseThrow())) {
                int taken = need.of(session);
                if (need.resource() != null && session.timetabled()) {
                    list(units, need.resource()).add(time);
                }
                if (need.resource() != null && taken > 0 && !session.bookings().isEmpty()) {
                    list(used, need.resource()).add(new Stretch(time, taken));
                }
            }
        }
    }

    private List<Track> tracks(List<Busy> busy) {
        List<Track> tracks = new ArrayList<>();
        for (Staff person : house.staff()) {
            List<Interval> away = busy.stream()
                    .filter(b -> b.staff().equals(person.id()))
                    .map(Busy::interval)
                    .toList();
            IntervalSet sold = IntervalSet.union(served.getOrDefault(person.id(), List.of()));
            IntervalSet free = IntervalSet.union(could.getOrDefault(person.id(), List.of()))
                    .without(IntervalSet.union(away));
            tracks.add(once(Kind.STAFF, person.id().value(), free, sold));
        }
        for (Resource thing : house.resources()) {
            List<Stretch> sold = used.getOrDefault(thing.id(), List.of());
            List<Interval> all = new ArrayList<>(units.getOrDefault(thing.id(), List.of()));
            sold.forEach(s -> all.add(s.time()));
            tracks.add(new Track(Kind.RESOURCE, thing.id().value(), thing.units(), IntervalSet.union(all), sold));
        }
        for (Offer offer : house.offers()) {
            IntervalSet sold = IntervalSet.union(had.getOrDefault(offer.id(), List.of()));
            IntervalSet all = IntervalSet.union(offered.getOrDefault(offer.id(), List.of()));
            tracks.add(once(Kind.OFFER, offer.id().value(), all, sold));
        }
        return List.copyOf(tracks);
    }

    /** Of one who or which is sold once at a time, whoever shares it. */
    private static Track once(Kind kind, String id, IntervalSet could, IntervalSet sold) {
        return new Track(
                kind,
                id,
                1,
                could.union(sold),
                sold.intervals().stream().map(i -> new Stretch(i, 1)).toList());
    }
}
