package gastfreund.core.offers;

import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.money.Percent;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.Minutes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A service sold as a bookable product ({@code docs/openings.md}, {@code docs/house-format.md}).
 *
 * @param lengths at least one
 * @param basis whether prices are for the booking or for each person
 * @param starts when it may start, in mode {@code open}
 * @param timetable its sessions, in mode {@code timetable}; null in mode {@code open}
 * @param prep how long staff and resources are taken before the guest's time
 * @param reset how long they are taken after it
 * @param places where it happens, in the offer's order; empty where it has none
 * @param hours its own hours in place of the house's; null where it has none
 * @param contested whether bookings of others do not stand against a request
 */
public record Offer(
        OfferId id,
        String title,
        List<Length> lengths,
        Basis basis,
        Starts starts,
        @Nullable Timetable timetable,
        Minutes prep,
        Minutes reset,
        Sharing sharing,
        Party party,
        Serving serving,
        List<Use> uses,
        List<PlaceId> places,
        @Nullable Schedule hours,
        Bounds bounds,
        Confirm confirm,
        boolean contested,
        List<AddOn> addOns,
        List<PriceRule> priceRules,
        Payment payment,
        Terms terms,
        Percent taxRate) {

    /** What a price is for. */
    public enum Basis {
        BOOKING,
        PERSON
    }

    /** What has to happen before a booking is confirmed ({@code docs/house-format.md}). */
    public enum Confirm {
        INSTANT,
        BY_HAND,
        ON_PAYMENT
    }

    /** @throws IllegalArgumentException where the parts do not fit each other */
    public Offer {
        lengths = List.copyOf(lengths);
        uses = List.copyOf(uses);
        places = List.copyOf(places);
        addOns = List.copyOf(addOns);
        priceRules = List.copyOf(priceRules);
        if (lengths.isEmpty()) {
            throw new IllegalArgumentException("an offer has at least one length");
        }
        if (contested && confirm != Confirm.BY_HAND) {
            throw new IllegalArgumentException("only what is confirmed by hand can be contested");
        }
        if (timetable != null && !sharing.shared()) {
            throw new IllegalArgumentException("a timetable's sessions are shared");
        }
        if (sharing.shared()) {
            if (lengths.stream().anyMatch(l -> l.maxUnits() != 1)) {
                throw new IllegalArgumentException("a shared offer has lengths of exactly one unit");
            }
            if (addOns.stream().anyMatch(a -> a.minutes().count() != 0)) {
                throw new IllegalArgumentException("a shared offer has no add-ons that take time");
            }
        }
    }

    /**
     * The same offer with other lengths and add-ons, for other parties.
     *
     * @throws IllegalArgumentException where they do not fit the rest of it
     */
    public Offer with(List<Length> otherLengths, List<AddOn> otherAddOns, Party otherParty) {
        return new Offer(
                id,
                title,
                otherLengths,
                basis,
                starts,
                timetable,
                prep,
                reset,
                sharing,
                otherParty,
                serving,
                uses,
                places,
                hours,
                bounds,
                confirm,
                contested,
                otherAddOns,
                priceRules,
                payment,
                terms,
                taxRate);
    }

    /** The same offer with other time around it, and other bounds. */
    public Offer with(Minutes otherPrep, Minutes otherReset, Bounds otherBounds) {
        return new Offer(
                id,
                title,
                lengths,
                basis,
                starts,
                timetable,
                otherPrep,
                otherReset,
                sharing,
                party,
                serving,
                uses,
                places,
                hours,
                otherBounds,
                confirm,
                contested,
                addOns,
                priceRules,
                payment,
                terms,
                taxRate);
    }

    /** The same offer, booked by the host's yes alone. */
    public Offer byHand() {
        return new Offer(
                id,
                title,
                lengths,
                basis,
                starts,
                timetable,
                prep,
                reset,
                sharing,
                party,
                serving,
                uses,
                places,
                hours,
                bounds,
                Confirm.BY_HAND,
                contested,
                addOns,
                priceRules,
                payment,
                terms,
                taxRate);
    }

    /** Whether its sessions are at times fixed beforehand. */
    public boolean hasTimetable() {
        return timetable != null;
    }

    /** The entries of its timetable; none in mode {@code open}. */
    public List<Timetable.Entry> entries() {
        return timetable == null ? List.of() : timetable.entries();
    }

    /** Whether a person can serve it; in a timetable, an entry's. */
    public boolean servedBy(StaffId person) {
        return timetable != null
                ? timetable.entries().stream().anyMatch(e -> e.staff().contains(person))
                : serving.of().contains(person);
    }

    /** Whether it can happen at a place; in a timetable, an entry's too. */
    public boolean isAt(PlaceId place) {
        return places.contains(place) || entries().stream().anyMatch(e -> place.equals(e.place()));
    }

    public Optional<Length> length(LengthId wanted) {
        return lengths.stream().filter(l -> l.id().equals(wanted)).findFirst();
    }

    public Optional<AddOn> addOn(AddOnId wanted) {
        return addOns.stream().filter(a -> a.id().equals(wanted)).findFirst();
    }

    /** The place named, else the offer's first, retired or not: where a booking took place that does not say; null: nowhere. */
    public @Nullable PlaceId placeOr(@Nullable PlaceId named) {
        return named != null || places.isEmpty() ? named : places.get(0);
    }

    /** Whether it takes nothing, so that it has one unit of an implied resource at each of its places. */
    public boolean impliesResource() {
        return serving.of().isEmpty() && uses.isEmpty();
    }

    /** The guest's time: {@code length × units} and the add-ons' minutes. */
    public Minutes guestTime(Length length, int units, Map<AddOnId, Integer> quantities) {
        Minutes time = length.minutes().times(units);
        for (AddOn addOn : addOns) {
            time = time.plus(addOn.minutes().times(quantities.getOrDefault(addOn.id(), 0)));
        }
        return time;
    }
}
