package gastfreund.core.openings;

import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.time.Minutes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A query that fits its offer, with what it leaves open filled in.
 *
 * @param longest guest's time of its ways
 * @param ways in the offer's order
 */
record Demand(Query query, Offer offer, Minutes longest, List<Way> ways) {

    /**
     * One way in which the offer can be had: by whom, where and for how long.
     *
     * @param place null where the offer has none
     * @param minutes of the guest's time
     * @param seats persons in one session; 0 where nobody shares
     * @param entry of the timetable; null in mode {@code open}
     */
    record Way(
            List<StaffId> staff,
            @Nullable PlaceId place,
            Length length,
            Minutes minutes,
            int seats,
            Timetable.@Nullable Entry entry) {

        private boolean fits(Query query) {
            return (query.staff() == null || staff.contains(query.staff()))
                    && (query.length() == null || length.id().equals(query.length()))
                    && (query.place() == null || query.place().equals(place));
        }
    }

    /** Either a demand or the first refusal ({@code docs/openings.md}, "Party"). */
    sealed interface Checked {}

    record Fits(Demand demand) implements Checked {}

    record Refused(Refusal refusal) implements Checked {}

    static Checked check(House house, Offer offer, Query query) {
        Length length = lengthOf(offer, query).orElse(null);
        Refusal refusal = refusalOf(house, offer, query, length);
        if (refusal != null) {
            return new Refused(refusal);
        }
        List<Way> ways = (offer.hasTimetable() || length == null
                        ? entries(house, offer)
                        : options(house, offer, query, length))
                .stream().filter(way -> way.fits(query)).toList();
        Minutes longest =
                ways.stream().map(Way::minutes).max(Minutes::compareTo).orElse(Minutes.ZERO);
        return new Fits(new Demand(query, offer, longest, ways));
    }

    /** Sessions at a retired place go on, but nobody new comes to them. */
    private static List<Way> entries(House house, Offer offer) {
        return offer.entries().stream()
                .filter(e -> e.place() == null || !house.retired().places().contains(e.place()))
                .map(e -> new Way(
                        e.staff(),
                        e.place(),
                        e.length(),
                        e.length().minutes(),
                        e.seats().orElse(offer.sharing().seats()),
                        e))
                .toList();
    }

    private static List<Way> options(House house, Offer offer, Query query, Length length) {
        PlaceId place = query.place() != null
                ? query.place()
                : house.placesOf(offer).stream().findFirst().orElse(null);
        Minutes minutes = offer.guestTime(length, query.units(), query.addOns());
        return house.options(offer).stream()
                .map(staff ->
                        new Way(staff, place, length, minutes, offer.sharing().seats(), null))
                .toList();
    }

    private static Optional<Length> lengthOf(Offer offer, Query query) {
        if (query.length() != null) {
            return offer.length(query.length());
        }
        return offer.lengths().size() == 1 ? Optional.of(offer.lengths().get(0)) : Optional.empty();
    }

    private static @Nullable Refusal refusalOf(House house, Offer offer, Query query, @Nullable Length length) {
        if (house.retired().offers().contains(offer.id())) {
            return Refusal.RETIRED;
        }
        boolean anyLength = offer.hasTimetable() && query.length() == null;
        if (!offer.party().allows(query.party())) {
            return Refusal.PARTY;
        }
        if (length == null && !anyLength) {
            return Refusal.LENGTH;
        }
        if (length == null || anyLength ? query.units() != 1 : !length.sells(query.units())) {
            return Refusal.UNITS;
        }
        for (Map.Entry<AddOnId, Integer> wanted : query.addOns().entrySet()) {
            Optional<AddOn> addOn = offer.addOn(wanted.getKey());
            if (addOn.isEmpty()
                    || wanted.getValue() < 0
                    || wanted.getValue() > addOn.get().max()) {
                return Refusal.ADD_ON;
            }
        }
        if (query.staff() != null && !serves(house, offer, query.staff())) {
            return Refusal.STAFF;
        }
        return isThere(house, offer, query.place()) ? null : Refusal.PLACE;
    }

    /** In a timetable, whoever its entries name serves, retired or not. */
    private static boolean serves(House house, Offer offer, StaffId person) {
        return offer.servedBy(person)
                && (offer.hasTimetable() || !house.retired().staff().contains(person));
    }

    /** @param asked null where any place will do */
    private static boolean isThere(House house, Offer offer, @Nullable PlaceId asked) {
        boolean anywhere = offer.places().isEmpty() || !house.placesOf(offer).isEmpty();
        return anywhere
                && (asked == null
                        || offer.isAt(asked) && !house.retired().places().contains(asked));
    }
}
