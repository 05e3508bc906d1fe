package gastfreund.core.orders;

import gastfreund.core.money.Percent;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.terms.Terms;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * What a booking was sold as. It is kept with the line of its order from then on: whoever edits the offer later changes
 * what is sold, and no contract that was made ({@code docs/money.md}, "Terms"). Where new time is looked for, the offer of
 * then counts ({@link #within}).
 *
 * @param title of the offer
 * @param length that was chosen, with the price of one unit
 * @param addOns that were chosen, in the offer's order, without those of which none was
 * @param confirm what had to happen before it was confirmed
 * @param place the name of where it happens; empty where the offer has none
 * @param staff the names of those who serve, in the order in which they were given
 */
public record Sold(
        String title,
        Length length,
        List<AddOn> addOns,
        Offer.Confirm confirm,
        Payment payment,
        Terms terms,
        Percent taxRate,
        String place,
        Map<StaffId, String> staff) {

    public Sold {
        addOns = List.copyOf(addOns);
        staff = Collections.unmodifiableMap(new LinkedHashMap<>(staff));
    }

    /**
     * What a line sells.
     *
     * @throws IllegalArgumentException where the house does not have its place or its people
     */
    public static Sold of(Line line, House house) {
        Offer offer = line.offer();
        return new Sold(
                        offer.title(),
                        line.length(),
                        offer.addOns().stream()
                                .filter(a -> line.addOns().getOrDefault(a.id(), 0) > 0)
                                .toList(),
                        offer.confirm(),
                        offer.payment(),
                        offer.terms(),
                        offer.taxRate(),
                        "",
                        Map.of())
                .at(line.place(), line.staff(), house);
    }

    /**
     * The same, elsewhere or with other people.
     *
     * @param where null where the offer has no place
     * @throws IllegalArgumentException where the house does not have them
     */
    public Sold at(@Nullable PlaceId where, List<StaffId> people, House house) {
        Map<StaffId, String> names = new LinkedHashMap<>();
        people.forEach(person -> names.put(person, house.staff(person).name()));
        String name = where == null ? "" : house.place(where).name();
        return new Sold(title, length, addOns, confirm, payment, terms, taxRate, name, names);
    }

    /** The same, longer or shorter. */
    public Sold lasting(Length other) {
        return new Sold(title, other, addOns, confirm, payment, terms, taxRate, place, staff);
    }

    /** The title of an add-on; empty where none of it was sold. */
    public Optional<String> titleOf(AddOnId addOn) {
        return addOns.stream()
                .filter(a -> a.id().equals(addOn))
                .map(AddOn::title)
                .findFirst();
    }

    /**
     * The offer of now, with what was sold of it: the length and the add-ons as they were where they are gone or take
     * another time by now, and a party of that size. With it another time is looked for.
     *
     * @param units that were sold
     * @param party how many come
     * @return empty where the offer has become something in which this cannot be had, such as sessions that are shared
     */
    public Optional<Offer> within(Offer now, int units, int party) {
        List<Length> lengths = with(
                now.lengths(),
                length,
                l -> l.id().equals(length.id()),
                l -> now.hasTimetable() || l.minutes().equals(length.minutes()) && l.sells(units));
        List<AddOn> all = now.addOns();
        for (AddOn sold : addOns) {
            all = with(
                    all,
                    sold,
                    a -> a.id().equals(sold.id()),
                    a -> a.minutes().equals(sold.minutes()) && a.per() == sold.per() && a.max() >= sold.max());
        }
        Party wider = new Party(
                Math.min(now.party().min(), party), Math.max(now.party().max(), party));
        try {
            return Optional.of(now.with(lengths, all, wider));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The list with what was sold at its place, unless what stands there is as good. */
    private static <T> List<T> with(List<T> now, T sold, Predicate<T> same, Predicate<T> asGood) {
        List<T> all = new ArrayList<>();
        boolean found = false;
        for (T one : now) {
            boolean it = same.test(one);
            found |= it;
            all.add(it && !asGood.test(one) ? sold : one);
        }
        if (!found) {
            all.add(sold);
        }
        return all;
    }
}
