package gastfreund.core.openings;

import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
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

    static Checked check(Offer offer, Query query) {
        Length length = lengthOf(offer, query).orElse(null);
        Refusal refusal = refusalOf(offer, query, length);
        if (refusal != null) {
            return new Refused(refusal);
        }
        List<Way> ways = (offer.hasTimetable() || length == null ? entries(offer) : options(offer, query, length))
                .stream().filter(way -> way.fits(query)).toList();
        Minutes longest =
                ways.stream().map(Way::minutes).max(Minutes::compareTo).orElse(Minutes.ZERO);
        return new Fits(new Demand(query, offer, longest, ways));
    }

    private static List<Way> entries(Offer offer) {
        return offer.entries().stream()
                .map(e -> new Way(
                        e.staff(),
                        e.place(),
                        e.length(),
                        e.length().minutes(),
                        e.seats().orElse(offer.sharing().seats()),
                        e))
                .toList();
    }

    private static List<Way> options(Offer offer, Query query, Length length) {
        PlaceId place = offer.placeOr(query.place());
        Minutes minutes = offer.guestTime(length, query.units(), query.addOns());
        return offer.serving().options().stream()
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

    private static @Nullable Refusal refusalOf(Offer offer, Query query, @Nullable Length length) {
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
        if (query.staff() != null && !offer.servedBy(query.staff())) {
            return Refusal.STAFF;
        }
        if (query.place() != null && !offer.isAt(query.place())) {
            return Refusal.PLACE;
        }
        return null;
    }
}
