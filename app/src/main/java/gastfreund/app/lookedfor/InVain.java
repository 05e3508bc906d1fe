package gastfreund.app.lookedfor;

import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What was asked for on a day, and not to be had.
 *
 * @param staff the person that was wanted; null: any
 * @param place null: the offer has none
 * @param wanted the date that was wanted; null: any of those that were shown, and none of them had an opening
 * @param why what stood against its starts, as the engine says it, the most frequent first
 * @param at when it was asked first on that day
 */
public record InVain(
        OfferId offer,
        LengthId length,
        int units,
        int party,
        Map<AddOnId, Integer> addOns,
        @Nullable StaffId staff,
        @Nullable PlaceId place,
        @Nullable LocalDate wanted,
        List<String> why,
        Instant at) {

    public InVain {
        addOns = Map.copyOf(addOns);
        why = List.copyOf(why);
    }

    /** What makes it another thing than the next: all but when it was asked, and what stood against it. */
    InVain alike() {
        return new InVain(offer, length, units, party, addOns, staff, place, wanted, List.of(), Instant.EPOCH);
    }

    /**
     * The question as it was asked, at its moment.
     *
     * @param today the date on which it was asked
     * @param days how many dates were shown, where none was wanted
     */
    public Query query(LocalDate today, int days) {
        return new Query(
                at,
                offer,
                wanted == null ? today : wanted,
                wanted == null ? today.plusDays(days - 1L) : wanted,
                length,
                units,
                party,
                addOns,
                staff,
                place,
                Audience.GUEST,
                Set.of());
    }
}
