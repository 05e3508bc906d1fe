package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Commitment;
import gastfreund.core.sessions.Levels;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is taken in reach of a demand: people's timelines, resources' levels, and counts by date. A booking that nobody shares
 * is its own session, and is only made one where somebody asks what stands against an attempt.
 */
final class Taken {

    private final House house;
    private final Booked booked;
    private final Demand demand;
    private final Days days;
    private final Kind[] kinds;
    private final Person[] people;
    private final Map<StaffId, Person> peopleById = new HashMap<>();
    private final List<Session> shared = new ArrayList<>();
    private int[] touching = {};
    private final Map<Session.Key, Session> joinable = new HashMap<>();
    private final Map<ResourceId, Levels.Builder> ofResource = new HashMap<>();
    private final Levels.Builder implied = new Levels.Builder();
    private final int[] sessionsByDay;
    private final long[] minutesByDay;
    private int lastDay;

    /** What is taken by what of an offer, as far as the demand asks. */
    private static final class Kind {
        private final Offer offer;
        private final long prep;
        private final long reset;
        private final boolean asked;
        private final Needs[] needs;
        private final @Nullable Levels.Builder[] levels;

        Kind(Offer offer, boolean asked, Needs[] needs, @Nullable Levels.Builder[] levels) {
            this.offer = offer;
            this.prep = offer.prep().count();
            this.reset = offer.reset().count();
            this.asked = asked;
            this.needs = needs;
            this.levels = levels;
        }
    }

    /** What takes one of those who could serve, and, where their day is limited, how many sessions they have on each. */
    private static final class Person {
        private final Timeline.Builder all;
        private final Timeline.Builder fixed;
        private final int @Nullable [] sessionsByDay;

        Person(Timeline.Builder all, Timeline.Builder fixed, int @Nullable [] sessionsByDay) {
            this.all = all;
            this.fixed = fixed;
            this.sessionsByDay = sessionsByDay;
        }
    }

    private Taken(House house, Booked booked, Demand demand, Days days) {
        this.house = house;
        this.booked = booked;
        this.demand = demand;
        this.days = days;
        this.sessionsByDay = new int[days.count()];
        this.minutesByDay = new long[days.count()];
        this.kinds = new Kind[booked.offerCount()];
        this.people = new Person[booked.staffCount()];
        for (Needs need : Needs.of(demand.offer())) {
            if (need.resource() != null) {
                ofResource.put(need.resource(), new Levels.Builder());
            }
        }
    }

    /**
     * What is taken in {@code reach}.
     *
     * @param days the dates whose sessions are counted
     */
    static Taken inReach(House house, Booked booked, Demand demand, Interval reach, Days days) {
        Taken taken = new Taken(house, booked, demand, days);
        taken.gather(reach);
        return taken;
    }

    private void gather(Interval reach) {
        long mostPrep = house.mostPrep().count();
        long mostReset = house.mostReset().count();
        long longest = house.longestSession().count();
        Relevance relevance = Relevance.of(house, demand);
        relevance.staff().forEach(this::addPerson);
        List<Booking> together = new ArrayList<>();
        long earliest = reach.start() - mostReset - longest;
        touching = booked.bookingsTouching(reach, mostPrep, mostReset + longest, relevance.offers(), relevance.staff());
        for (int index : touching) {
            if (counts(index)) {
                // Where a booking is longer than the session that it is part of, the session decides; so it must be
                // known.
                earliest = Math.min(earliest, booked.start(index));
                add(index, together);
            }
        }
        Interval starts = Interval.between(earliest, reach.end() + mostPrep);
        Sessions.of(house, together, starts).shared().forEach((key, session) -> {
            add(session);
            if (session.offer().equals(demand.offer().id())) {
                joinable.put(key, session);
            }
        });
        for (Busy busy : booked.busyTouching(reach)) {
            Person person = peopleById.get(busy.staff());
            if (person != null) {
                long start = busy.interval().start();
                long end = busy.interval().end();
                person.all.add(start, end, busy);
                person.fixed.add(start, end, busy);
            }
        }
    }

    private boolean counts(int index) {
        Query query = demand.query();
        return booked.isLive(index, query.now())
                && (query.without().isEmpty()
                        || !query.without().contains(booked.booking(index).id()));
    }

    private void addPerson(StaffId id) {
        boolean limited = house.staff(id).maxPerDay().isPresent();
        Person person = new Person(
                new Timeline.Builder(this::commitment),
                new Timeline.Builder(this::commitment),
                limited ? new int[days.count()] : null);
        peopleById.put(id, person);
        int number = booked.staffNumber(id);
        if (number >= 0) {
            people[number] = person;
        }
    }

    private Commitment commitment(Object by) {
        return by instanceof Busy busy
                ? new Commitment.OfBusy(busy)
                : new Commitment.OfSession(by instanceof Session session ? session : sessionOf((Booking) by));
    }

    private Session sessionOf(Booking booking) {
        return Sessions.alone(house.offer(booking.offer()).orElseThrow(), booking);
    }

    private @Nullable Kind kindOf(int index) {
        int number = booked.offerNumber(index);
        if (kinds[number] == null) {
            Offer offer = house.offer(booked.booking(index).offer()).orElse(null);
            if (offer == null) {
                return null;
            }
            kinds[number] = kindOf(offer);
        }
        return kinds[number];
    }

    private Kind kindOf(Offer offer) {
        boolean asked = offer.id().equals(demand.offer().id());
        Needs[] needs = Needs.of(offer).toArray(Needs[]::new);
        @Nullable Levels.Builder[] levels = new Levels.Builder[needs.length];
        for (int i = 0; i < needs.length; i++) {
            ResourceId resource = needs[i].resource();
            levels[i] = resource != null ? ofResource.get(resource) : asked ? implied : null;
        }
        return new Kind(offer, asked, needs, levels);
    }

    private void add(int index, List<Booking> together) {
        Kind kind = kindOf(index);
        if (kind == null) {
            return;
        }
        Booking booking = booked.booking(index);
        if (kind.offer.sharing().shared()) {
            together.add(booking);
            return;
        }
        long start = booked.start(index);
        long end = booked.end(index);
        int day = dayOf(start);
        for (int number : booked.staffNumbers(index)) {
            Person person = people[number];
            if (person != null) {
                person.all.add(start - kind.prep, end + kind.reset, booking);
                if (person.sessionsByDay != null) {
                    count(person.sessionsByDay, day);
                }
            }
        }
        for (int i = 0; i < kind.needs.length; i++) {
            Levels.Builder levels = kind.levels[i];
            boolean takes = levels != null
                    && (kind.needs[i].resource() != null || isAt(kind.offer.placeOr(booking.place()), demand));
            if (takes) {
                levels.take(start - kind.prep, end + kind.reset, kind.needs[i].of(booked.party(index), false));
            }
        }
        if (kind.asked) {
            countOfOffer(day, end - start);
        }
    }

    private void add(Session session) {
        Offer offer = house.offer(session.offer()).orElseThrow();
        Kind kind = kindOf(offer);
        shared.add(session);
        long from = session.taken().start();
        long to = session.taken().end();
        int day = days.dayOf(session.guests().start());
        for (StaffId id : session.staff()) {
            Person person = peopleById.get(id);
            if (person != null) {
                person.all.add(from, to, session);
                if (session.timetabled()) {
                    person.fixed.add(from, to, session);
                }
                if (person.sessionsByDay != null) {
                    count(person.sessionsByDay, day);
                }
            }
        }
        for (int i = 0; i < kind.needs.length; i++) {
            Levels.Builder levels = kind.levels[i];
            if (levels != null && (kind.needs[i].resource() != null || isAt(session.place(), demand))) {
                levels.take(from, to, kind.needs[i].of(session));
            }
        }
        if (kind.asked) {
            countOfOffer(day, session.guests().length().count());
        }
    }

    /** Bookings come by start, so that the date of one is that of the one before or lies soon after it. */
    private int dayOf(long minute) {
        lastDay = days.dayOf(minute, lastDay);
        return lastDay;
    }

    private void count(int[] byDay, int day) {
        if (day >= 0 && day < byDay.length) {
            byDay[day]++;
        }
    }

    private void countOfOffer(int day, long minutes) {
        if (day >= 0 && day < sessionsByDay.length) {
            sessionsByDay[day]++;
            minutesByDay[day] += minutes;
        }
    }

    private static boolean isAt(@Nullable PlaceId place, Demand demand) {
        return demand.ways().stream().anyMatch(way -> Objects.equals(way.place(), place));
    }

    /** The session that a candidate equals, null where there is none. */
    @Nullable
    Session joined(Session.Key key) {
        return joinable.isEmpty() ? null : joinable.get(key);
    }

    /** The sessions that take units of a resource (null: the implied one) during {@code [start, end)}, by start. */
    List<Commitment> takingUnits(@Nullable ResourceId resource, long start, long end) {
        Stream<Session> alone = Arrays.stream(touching)
                .filter(this::counts)
                .mapToObj(booked::booking)
                .filter(b -> house.offer(b.offer())
                        .filter(o -> !o.sharing().shared())
                        .isPresent())
                .map(this::sessionOf);
        return Stream.concat(alone, shared.stream())
                .filter(s -> s.taken().start() < end && s.taken().end() > start)
                .filter(s -> Needs.of(house.offer(s.offer()).orElseThrow()).stream()
                        .anyMatch(n -> Objects.equals(n.resource(), resource) && n.of(s) > 0))
                .sorted(Comparator.comparingLong(s -> s.taken().start()))
                .<Commitment>map(Commitment.OfSession::new)
                .toList();
    }

    /** All commitments of one of those who could serve. */
    Timeline timelineOf(StaffId person) {
        return personOf(person).all.build();
    }

    /** Those that are not made by bookings. */
    Timeline fixedTimelineOf(StaffId person) {
        return personOf(person).fixed.build();
    }

    private Person personOf(StaffId person) {
        return Objects.requireNonNull(peopleById.get(person));
    }

    /** The units taken of a resource that the demand's offer uses, of the implied one for null. */
    Levels levelsOf(@Nullable ResourceId resource) {
        Levels.Builder levels = resource == null ? implied : ofResource.get(resource);
        return Objects.requireNonNull(levels).build();
    }

    /** The offer's sessions that start on a date. */
    int sessionsOn(int day) {
        return sessionsByDay[day];
    }

    /** The minutes of the offer's sessions that start on a date. */
    long minutesOn(int day) {
        return minutesByDay[day];
    }

    /** How many sessions of any offer a person serves, by the date on which they start; null where that is not limited. */
    int @Nullable [] sessionsServed(StaffId person) {
        return personOf(person).sessionsByDay;
    }
}
