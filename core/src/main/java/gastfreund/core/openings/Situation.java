package gastfreund.core.openings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.hours.Schedule;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Levels;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** All that a demand is judged by, worked out once: its dates, its options with their hours, and what is taken. */
final class Situation {

    /** Dates before and after the query's into which hours that matter can reach. */
    private static final int MARGIN = 3;

    private static final Timeline NOTHING = Timeline.of(List.of());

    final House house;
    final Offer offer;
    final Demand demand;
    final Days days;
    final int firstDay;
    final int lastDay;
    final Taken taken;
    final List<Need> needs;
    final List<Option> options;

    /** What the demand needs of one resource, how many units there are and how many are taken when. */
    record Need(Needs needs, int units, Levels levels) {}

    private Situation(House house, Booked booked, Demand demand) {
        this.house = house;
        this.offer = demand.offer();
        this.demand = demand;
        int lengthInDays = Math.toIntExact(demand.longest().count() / 1440);
        Query query = demand.query();
        this.days = Days.between(
                house.zone(), query.from().minusDays(MARGIN), query.to().plusDays(MARGIN + lengthInDays));
        this.firstDay = MARGIN;
        this.lastDay = days.indexOf(query.to());
        Interval reach = Interval.between(days.start(firstDay), days.start(lastDay + 1))
                .widened(offer.prep(), demand.longest().plus(offer.reset()));
        this.taken = Taken.inReach(house, booked, demand, reach, days);
        this.needs = Needs.of(offer).stream().map(this::needOf).toList();
        this.options = demand.ways().stream().map(this::optionOf).toList();
    }

    static Situation of(House house, Booked booked, Demand demand) {
        return new Situation(house, booked, demand);
    }

    private Need needOf(Needs needs) {
        return new Need(needs, unitsOf(needs.resource()), taken.levelsOf(needs.resource()));
    }

    /** How many units can be taken in all: of what is retired none, whatever is taken of it already. */
    private int unitsOf(@Nullable ResourceId resource) {
        if (resource == null) {
            return 1;
        }
        return house.retired().resources().contains(resource)
                ? 0
                : house.resource(resource).units();
    }

    private Option optionOf(Demand.Way way) {
        List<StaffId> staff = way.staff();
        List<Layer> layers = layersOf(way);
        List<IntervalSet> open = layers.stream().map(l -> openTimeOf(l.hours())).toList();
        return new Option(
                way,
                Set.copyOf(staff),
                layers,
                open,
                open.stream().reduce(IntervalSet.of(days.span()), IntervalSet::intersect),
                staff.stream().map(this::serverOf).toArray(Option.Server[]::new));
    }

    private Option.Server serverOf(StaffId person) {
        OptionalInt most = house.staff(person).maxPerDay();
        return new Option.Server(
                person,
                taken.timelineOf(person),
                offer.contested() ? taken.fixedTimelineOf(person) : NOTHING,
                taken.sessionsServed(person),
                most.orElse(Integer.MAX_VALUE));
    }

    private List<Layer> layersOf(Demand.Way way) {
        return Layer.of(
                house,
                offer,
                way.place(),
                way.staff(),
                needs.stream().map(Need::needs).toList());
    }

    private IntervalSet openTimeOf(Schedule hours) {
        return hours.openTimeWithin(days, offer.id(), demand.query().audience());
    }

    /** The session that an option would join at a start; null where it would begin one. */
    @Nullable
    Session joined(Option option, long start) {
        return offer.sharing().shared() ? taken.joined(keyOf(option, start)) : null;
    }

    private Session.Key keyOf(Option option, long start) {
        Demand.Way way = option.way();
        return offer.hasTimetable()
                ? Session.Key.ofTimetable(offer.id(), start, way.place())
                : new Session.Key(offer.id(), start, way.minutes(), option.staffSet(), way.place());
    }

    /** When staff and resources would be taken first (inclusive). */
    long takenFrom(Attempt attempt) {
        return attempt.start() - offer.prep().count();
    }

    /** When they would be free again (exclusive end). */
    long takenTo(Attempt attempt) {
        return attempt.end() + offer.reset().count();
    }

    /** Seats left in the session that the attempt joins or begins. */
    int seatsLeft(Attempt attempt) {
        return attempt.option().way().seats()
                - (attempt.joined() == null ? 0 : attempt.joined().persons());
    }

    /** What is left of an opening ({@code docs/openings.md}, "Left"). */
    int left(Attempt attempt) {
        long from = takenFrom(attempt);
        long to = takenTo(attempt);
        boolean joining = attempt.joined() != null;
        int left = offer.sharing().shared() ? seatsLeft(attempt) : 1;
        if (offer.sharing().shared()) {
            for (Need need : needs) {
                if (need.needs().perPerson() > 0) {
                    int free = need.units()
                            - need.levels().most(from, to)
                            - need.needs().of(0, joining);
                    left = Math.min(left, Math.floorDiv(free, need.needs().perPerson()));
                }
            }
        } else if (attempt.option().staff().isEmpty() && !offer.uses().isEmpty()) {
            int fewest = Integer.MAX_VALUE;
            for (Need need : needs) {
                int needed = need.needs().of(demand.query().party(), false);
                if (needed > 0) {
                    fewest = Math.min(fewest, (need.units() - need.levels().most(from, to)) / needed);
                }
            }
            left = fewest == Integer.MAX_VALUE ? 1 : fewest;
        }
        return left;
    }

    /** Whether only the offer's being contested keeps bookings from standing against the attempt. */
    boolean contested(Attempt attempt) {
        if (!offer.contested() || offer.hasTimetable()) {
            return false;
        }
        for (Option.Server server : attempt.option().serving()) {
            if (server.timeline().taken(takenFrom(attempt), takenTo(attempt), attempt.joined())) {
                return true;
            }
        }
        return false;
    }

    /** Whether an option that is open is so in the same way at all starts: at one price, with as much left. */
    boolean isOpenAlike() {
        boolean counted = offer.serving().of().isEmpty() && !offer.uses().isEmpty();
        return offer.priceRules().isEmpty()
                && !offer.contested()
                && !offer.sharing().shared()
                && !counted;
    }

    /** What the attempt would cost. */
    Money price(Attempt attempt) {
        Query query = demand.query();
        Line line = new Line(
                offer,
                attempt.option().way().length(),
                query.units(),
                query.party(),
                query.addOns(),
                attempt.start(),
                attempt.option().staff(),
                attempt.option().way().place(),
                query.now(),
                house.zone());
        return line.price().amount();
    }
}
