package gastfreund.core.offers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import java.util.Collection;
import java.util.Comparator;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
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
    private final List<Place> allPlaces;
    private final List<Staff> allStaff;
    private final List<Resource> allResources;
    private final List<Offer> allOffers;
    private final Minutes mostPrep;
    private final Minutes mostReset;
    private final Minutes longestSession;
    private final Retired retired;

    private House(
            String name,
            HouseZone zone,
            Currency currency,
            Schedule hours,
            List<Place> places,
            List<Staff> staff,
            List<Resource> resources,
            List<Offer> offers,
            Retired retired) {
        this.retired = retired;
        this.name = name;
        this.zone = zone;
        this.currency = currency;
        this.hours = hours;
        this.places = byId(places, Place::id);
        this.staff = byId(staff, Staff::id);
        this.resources = byId(resources, Resource::id);
        this.offers = byId(offers, Offer::id);
        this.allPlaces = List.copyOf(places);
        this.allStaff = List.copyOf(staff);
        this.allResources = List.copyOf(resources);
        this.allOffers = List.copyOf(offers);
        this.mostPrep = longest(offers.stream().map(Offer::prep));
        this.mostReset = longest(offers.stream().map(Offer::reset));
        this.longestSession =
                longest(offers.stream().flatMap(o -> o.entries().stream()).map(e -> e.length()
                        .minutes()));
    }

    private static Minutes longest(Stream<Minutes> all) {
        return all.max(Comparator.naturalOrder()).orElse(Minutes.ZERO);
    }

    /**
     * A house of which nothing is retired.
     *
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
        House house = new House(name, zone, currency, hours, places, staff, resources, offers, Retired.nothing());
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
        return of(name, zone, currency, hours, allPlaces, allStaff, allResources, all)
                .retiring(retired);
    }

    /**
     * The same house with these things retired, and no others.
     *
     * @throws IllegalArgumentException where it does not have all of them
     */
    public House retiring(Retired things) {
        boolean known = places.keySet().containsAll(things.places())
                && staff.keySet().containsAll(things.staff())
                && resources.keySet().containsAll(things.resources())
                && offers.keySet().containsAll(things.offers());
        if (!known) {
            throw new IllegalArgumentException("what the house does not have cannot be retired");
        }
        return new House(name, zone, currency, hours, allPlaces, allStaff, allResources, allOffers, things);
    }

    public Retired retired() {
        return retired;
    }

    /** The offers that can be booked anew: those that are not retired. */
    public List<Offer> onSale() {
        return offers.values().stream()
                .filter(o -> !retired.offers().contains(o.id()))
                .toList();
    }

    /** Who can serve an offer anew: its options without those in which somebody is retired. */
    public List<List<StaffId>> options(Offer offer) {
        return offer.serving().options().stream()
                .filter(together -> together.stream().noneMatch(retired.staff()::contains))
                .toList();
    }

    /** Where an offer can be booked anew, of the places that it lists, in its order. */
    public List<PlaceId> placesOf(Offer offer) {
        return offer.places().stream()
                .filter(p -> !retired.places().contains(p))
                .toList();
    }

    /** The lowest price of a length, whoever serves, before price rules. */
    public Money fromPrice(Offer offer, Length length) {
        return options(offer).stream()
                .map(staff -> offer.serving().priceOf(staff, length.id()).orElse(length.price()))
                .min(Money::compareTo)
                .orElse(length.price())
                .times(length.minUnits());
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
        return allPlaces;
    }

    public Collection<Staff> staff() {
        return allStaff;
    }

    public Collection<Resource> resources() {
        return allResources;
    }

    public Collection<Offer> offers() {
        return allOffers;
    }

    /** The most minutes that any offer takes before a guest's time. */
    public Minutes mostPrep() {
        return mostPrep;
    }

    /** The most minutes that any offer takes after a guest's time. */
    public Minutes mostReset() {
        return mostReset;
    }

    /** The longest that a session of a timetable lasts; zero where nothing has one. */
    public Minutes longestSession() {
        return longestSession;
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
