package gastfreund.core.offers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.time.HouseZone;
import java.util.Collection;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The business that sells time, with all that it sells and needs: what a query about openings is asked of, apart from
 * what was booked. Immutable; the order in which things were given is kept.
 */
public final class House {

    private final String name;
    private final HouseZone zone;
    private final Currency currency;
    private final Schedule hours;
    private final Map<PlaceId, Place> places;
    private final Map<StaffId, Staff> staff;
    private final Map<ResourceId, Resource> resources;
    private final Map<OfferId, Offer> offers;

    private House(
            String name,
            HouseZone zone,
            Currency currency,
            Schedule hours,
            List<Place> places,
            List<Staff> staff,
            List<Resource> resources,
            List<Offer> offers) {
        this.name = name;
        this.zone = zone;
        this.currency = currency;
        this.hours = hours;
        this.places = byId(places, Place::id);
        this.staff = byId(staff, Staff::id);
        this.resources = byId(resources, Resource::id);
        this.offers = byId(offers, Offer::id);
    }

    /**
     * @throws IllegalArgumentException where two things of one kind have the same id, or an offer names what the house
     *     does not have
     */
    public static House of(
            String name,
            HouseZone zone,
            Currency currency,
            Schedule hours,
            List<Place> places,
            List<Staff> staff,
            List<Resource> resources,
            List<Offer> offers) {
        House house = new House(name, zone, currency, hours, places, staff, resources, offers);
        for (Offer offer : offers) {
            boolean known = house.places.keySet().containsAll(offer.places())
                    && house.staff.keySet().containsAll(offer.serving().of())
                    && offer.uses().stream().allMatch(u -> house.resources.containsKey(u.resource()))
                    && house.hasAllOf(offer);
            if (!known) {
                throw new IllegalArgumentException("offer " + offer.id() + " names what the house does not have");
            }
            if (offer.timetable() != null && offer.timetable().clashes(zone)) {
                throw new IllegalArgumentException("offer " + offer.id() + " has two sessions at one start and place");
            }
        }
        return house;
    }

    /**
     * The same house with another form of one of its offers.
     *
     * @throws IllegalArgumentException where it has no such offer, or the new form names what the house does not have
     */
    public House with(Offer other) {
        known(offers.get(other.id()), other.id());
        List<Offer> all = offers.values().stream()
                .map(o -> o.id().equals(other.id()) ? other : o)
                .toList();
        return of(
                name,
                zone,
                currency,
                hours,
                List.copyOf(places.values()),
                List.copyOf(staff.values()),
                List.copyOf(resources.values()),
                all);
    }

    private boolean hasAllOf(Offer offer) {
        return offer.entries().stream()
                .allMatch(e -> staff.keySet().containsAll(e.staff())
                        && (e.place() == null || places.containsKey(e.place()))
                        && offer.lengths().contains(e.length()));
    }

    private static <K, V> Map<K, V> byId(List<V> things, Function<V, K> id) {
        Map<K, V> map = new LinkedHashMap<>();
        for (V thing : things) {
            if (map.put(id.apply(thing), thing) != null) {
                throw new IllegalArgumentException("two with the id " + id.apply(thing));
            }
        }
        return map;
    }

    public String name() {
        return name;
    }

    public HouseZone zone() {
        return zone;
    }

    public Currency currency() {
        return currency;
    }

    public Schedule hours() {
        return hours;
    }

    public Collection<Place> places() {
        return List.copyOf(places.values());
    }

    public Collection<Staff> staff() {
        return List.copyOf(staff.values());
    }

    public Collection<Resource> resources() {
        return List.copyOf(resources.values());
    }

    public Collection<Offer> offers() {
        return List.copyOf(offers.values());
    }

    public Optional<Offer> offer(OfferId id) {
        return Optional.ofNullable(offers.get(id));
    }

    /** @throws IllegalArgumentException where the house has no such place */
    public Place place(PlaceId id) {
        return known(places.get(id), id);
    }

    /** @throws IllegalArgumentException where the house has nobody of that id */
    public Staff staff(StaffId id) {
        return known(staff.get(id), id);
    }

    /** @throws IllegalArgumentException where the house has no such resource */
    public Resource resource(ResourceId id) {
        return known(resources.get(id), id);
    }

    private static <T> T known(@Nullable T thing, Object id) {
        if (thing == null) {
            throw new IllegalArgumentException("the house has no " + id);
        }
        return thing;
    }
}
