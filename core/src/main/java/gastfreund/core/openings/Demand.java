package gastfreund.core.openings;

import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Minutes;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A query that fits its offer, with what it leaves open filled in.
 *
 * @param minutes of the guest's time
 * @param place null where the offer has none
 * @param options who would serve, each list an option of its own, in the offer's order
 */
record Demand(Query query, Offer offer, Length length, Minutes minutes, PlaceId place, List<List<StaffId>> options) {

    /** Either a demand or the first refusal ({@code docs/openings.md}, "Party"). */
    record Checked(Demand demand, Refusal refusal) {}

    static Checked check(Offer offer, Query query) {
        Length length = lengthOf(offer, query).orElse(null);
        Refusal refusal = refusalOf(offer, query, length);
        if (refusal != null) {
            return new Checked(null, refusal);
        }
        PlaceId place = query.place() != null ? query.place() : offer.firstPlace().orElse(null);
        List<List<StaffId>> options = offer.serving().options().stream()
                .filter(o -> query.staff() == null || o.contains(query.staff()))
                .toList();
        Minutes minutes = offer.guestTime(length, query.units(), query.addOns());
        return new Checked(new Demand(query, offer, length, minutes, place, options), null);
    }

    private static Optional<Length> lengthOf(Offer offer, Query query) {
        if (query.length() != null) {
            return offer.length(query.length());
        }
        return offer.lengths().size() == 1 ? Optional.of(offer.lengths().get(0)) : Optional.empty();
    }

    private static Refusal refusalOf(Offer offer, Query query, Length length) {
        if (!offer.party().allows(query.party())) {
            return Refusal.PARTY;
        }
        if (length == null) {
            return Refusal.LENGTH;
        }
        if (!length.sells(query.units())) {
            return Refusal.UNITS;
        }
        for (Map.Entry<AddOnId, Integer> wanted : query.addOns().entrySet()) {
            Optional<AddOn> addOn = offer.addOn(wanted.getKey());
            if (addOn.isEmpty() || wanted.getValue() < 0 || wanted.getValue() > addOn.get().max()) {
                return Refusal.ADD_ON;
            }
        }
        if (query.staff() != null && !offer.serving().of().contains(query.staff())) {
            return Refusal.STAFF;
        }
        if (query.place() != null && !offer.places().contains(query.place())) {
            return Refusal.PLACE;
        }
        return null;
    }
}
