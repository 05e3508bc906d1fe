package gastfreund.core.openings;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A question about the openings of one offer ({@code docs/house-format.md}, "Commands").
 *
 * @param now the moment at which it is asked
 * @param from the first date (inclusive)
 * @param to the last date (inclusive), at most 400 dates in all
 * @param length null: the only one the offer has
 * @param addOns quantities by add-on
 * @param staff only options in which this person serves; null: any
 * @param place null: the offer's first
 * @param without bookings that are left out, so that one can be moved
 */
public record Query(
        Instant now,
        OfferId offer,
        LocalDate from,
        LocalDate to,
        @Nullable LengthId length,
        int units,
        int party,
        Map<AddOnId, Integer> addOns,
        @Nullable StaffId staff,
        @Nullable PlaceId place,
        Audience audience,
        Set<BookingId> without) {

    /** The most dates that one query may ask about. */
    public static final int MOST_DAYS = 400;

    /** @throws IllegalArgumentException where the dates are in the wrong order or more than {@value #MOST_DAYS} */
    public Query {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException("a query cannot end before it starts: " + from + ".." + to);
        }
        if (ChronoUnit.DAYS.between(from, to) >= MOST_DAYS) {
            throw new IllegalArgumentException("a query asks about at most " + MOST_DAYS + " days");
        }
        addOns = Map.copyOf(addOns);
        without = Set.copyOf(without);
    }

    /** What a guest asks for who has chosen nothing yet: one unit for one person. */
    public static Query of(OfferId offer, LocalDate from, LocalDate to, Instant now) {
        return new Query(now, offer, from, to, null, 1, 1, Map.of(), null, null, Audience.GUEST, Set.of());
    }

    public Query withLength(LengthId wanted, int wantedUnits) {
        return new Query(now, offer, from, to, wanted, wantedUnits, party, addOns, staff, place, audience, without);
    }

    public Query withParty(int persons) {
        return new Query(now, offer, from, to, length, units, persons, addOns, staff, place, audience, without);
    }

    public Query withAddOns(Map<AddOnId, Integer> quantities) {
        return new Query(now, offer, from, to, length, units, party, quantities, staff, place, audience, without);
    }

    public Query withStaff(@Nullable StaffId person) {
        return new Query(now, offer, from, to, length, units, party, addOns, person, place, audience, without);
    }

    public Query withPlace(@Nullable PlaceId wanted) {
        return new Query(now, offer, from, to, length, units, party, addOns, staff, wanted, audience, without);
    }

    public Query askedBy(Audience asking) {
        return new Query(now, offer, from, to, length, units, party, addOns, staff, place, asking, without);
    }

    public Query without(Set<BookingId> bookings) {
        return new Query(now, offer, from, to, length, units, party, addOns, staff, place, audience, bookings);
    }

    public Query between(LocalDate first, LocalDate last) {
        return new Query(now, offer, first, last, length, units, party, addOns, staff, place, audience, without);
    }
}
