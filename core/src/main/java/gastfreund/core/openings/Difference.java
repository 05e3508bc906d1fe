package gastfreund.core.openings;

import gastfreund.core.bookings.Booking;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.sessions.Session;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * What differs between two houses, as far as it can matter: an offer or a session that has nothing to
 * do with what differs is the same in both, and need not be asked about.
 */
final class Difference {

    private final House before;
    private final House after;
    private final boolean everything;
    private final boolean hoursOnly;
    private final Set<PlaceId> places;
    private final Set<StaffId> staff;
    private final Set<ResourceId> resources;
    private final Set<OfferId> offers;

    /** Offers all of whose bookings matter: of a timetable, whose entries say who serves, or taking a thing that differs. */
    private final Set<OfferId> wholeOffers = new HashSet<>();

    private Difference(House before, House after, boolean sameBookings) {
        this.before = before;
        this.after = after;
        places = differing(ids(before.places(), after.places(), p -> p.id()), Difference::place);
        staff = differing(ids(before.staff(), after.staff(), s -> s.id()), Difference::person);
        resources = differing(ids(before.resources(), after.resources(), r -> r.id()), Difference::resource);
        offers = differing(ids(before.offers(), after.offers(), o -> o.id()), Difference::offer);
        for (Offer offer : before.offers()) {
            if (offer.hasTimetable() || offer.uses().stream().map(Use::resource).anyMatch(resources::contains)) {
                wholeOffers.add(offer.id());
            }
        }
        boolean sameTime = sameBookings && before.zone().equals(after.zone());
        everything = !sameTime || !before.hours().equals(after.hours());
        hoursOnly = sameTime && offers.isEmpty() && resources.stream().allMatch(this::hasSameUnits);
    }

    /** @param sameBookings whether the same is booked in both; where it is not, everything can be touched */
    static Difference of(House before, House after, boolean sameBookings) {
        return new Difference(before, after, sameBookings);
    }

    private boolean hasSameUnits(ResourceId id) {
        return units(before, id).equals(units(after, id));
    }

    private static Optional<Integer> units(House house, ResourceId id) {
        return house.resources().stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .map(r -> r.units());
    }

    /**
     * Whether it can be seen in hours alone: the same sessions take the same people and things, of which there are as many.
     */
    boolean isOfHoursOnly() {
        return hoursOnly;
    }

    private static <T, K> Set<K> ids(Iterable<T> these, Iterable<T> others, Function<T, K> id) {
        Set<K> ids = new LinkedHashSet<>();
        these.forEach(t -> ids.add(id.apply(t)));
        others.forEach(t -> ids.add(id.apply(t)));
        return ids;
    }

    private <K> Set<K> differing(Set<K> ids, BiFunction<House, K, Object> form) {
        Set<K> differing = new HashSet<>();
        for (K id : ids) {
            if (!form.apply(before, id).equals(form.apply(after, id))) {
                differing.add(id);
            }
        }
        return differing;
    }

    /** A thing as a house has it, and whether it is retired there. */
    private record Form(Optional<?> thing, boolean retired) {}

    private static Object place(House house, PlaceId id) {
        return new Form(
                house.places().stream().filter(p -> p.id().equals(id)).findFirst(),
                house.retired().places().contains(id));
    }

    private static Object person(House house, StaffId id) {
        return new Form(
                house.staff().stream().filter(s -> s.id().equals(id)).findFirst(),
                house.retired().staff().contains(id));
    }

    private static Object resource(House house, ResourceId id) {
        return new Form(
                house.resources().stream().filter(r -> r.id().equals(id)).findFirst(),
                house.retired().resources().contains(id));
    }

    private static Object offer(House house, OfferId id) {
        return new Form(house.offer(id), house.retired().offers().contains(id));
    }

    /** Whether an offer can have other openings. Another offer's bookings take people's and things' time by its own rules. */
    boolean touches(OfferId id) {
        if (everything || offers.contains(id)) {
            return true;
        }
        Offer offer = before.offer(id).orElseThrow();
        return offer.places().stream().anyMatch(places::contains)
                || offer.serving().of().stream().anyMatch(staff::contains)
                || offer.uses().stream().map(Use::resource).anyMatch(resources::contains)
                || offer.entries().stream().anyMatch(this::touches)
                || offers.stream().anyMatch(other -> meets(before, offer, other) || meets(after, offer, other));
    }

    private boolean touches(Timetable.Entry entry) {
        return entry.staff().stream().anyMatch(staff::contains)
                || entry.place() != null && places.contains(entry.place());
    }

    /** Whether two offers can want the same: bookings of any offer can be served by anybody. */
    private static boolean meets(House house, Offer offer, OfferId id) {
        Optional<Offer> other = house.offer(id);
        if (other.isEmpty()) {
            return false;
        }
        boolean things = other.get().uses().stream()
                .anyMatch(u -> offer.uses().stream().anyMatch(o -> o.resource().equals(u.resource())));
        boolean people = !offer.serving().of().isEmpty()
                || offer.entries().stream().anyMatch(e -> !e.staff().isEmpty());
        return things || people;
    }

    /** Whether a session can be judged differently; sessions of offers, and beside offers, that differ always can. */
    boolean touches(Session session) {
        if (everything || !offers.isEmpty()) {
            return true;
        }
        Offer offer = before.offer(session.offer()).orElseThrow();
        return session.staff().stream().anyMatch(staff::contains)
                || session.place() != null && places.contains(Objects.requireNonNull(session.place()))
                || offer.uses().stream().map(Use::resource).anyMatch(resources::contains);
    }

    /** Whether a booking can be part of a session that can be judged differently. */
    boolean touches(Booking booking) {
        if (everything || !hoursOnly) {
            return true;
        }
        if (wholeOffers.contains(booking.offer())) {
            return true;
        }
        for (StaffId person : booking.staff()) {
            if (staff.contains(person)) {
                return true;
            }
        }
        return !places.isEmpty()
                && before.offer(booking.offer())
                        .map(offer -> offer.placeOr(booking.place()))
                        .filter(places::contains)
                        .isPresent();
    }
}
