package gastfreund.core.orders;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Prepaid visits ({@code docs/money.md}, "Vouchers and passes").
 *
 * @param visits how many are left; not negative
 * @param offers the only offers they are for
 * @param lastDay the last date of a visit (inclusive)
 */
public record Pass(int visits, Set<OfferId> offers, LocalDate lastDay) {

    /** @throws IllegalArgumentException where there are fewer visits than none */
    public Pass {
        if (visits < 0) {
            throw new IllegalArgumentException("a pass cannot have " + visits + " visits");
        }
        offers = Set.copyOf(offers);
    }

    /** How many visits a booking takes: one for each unit, and for each person where the offer is priced by person. */
    public static int visitsOf(Line line) {
        return line.units() * (line.offer().basis() == Offer.Basis.PERSON ? line.party() : 1);
    }

    /** Whether the pass, with so many visits left, pays for a booking. */
    private boolean covers(Line line, int left) {
        return offers.contains(line.offer().id())
                && visitsOf(line) <= left
                && !line.zone().dateOf(line.start()).isAfter(lastDay);
    }

    /**
     * Which pass pays for each of some bookings: earlier bookings first, each from the first pass that can pay for all
     * of it.
     *
     * @return for each line the index of its pass; empty where none pays for it
     */
    public static List<OptionalInt> cover(List<Line> lines, List<Pass> passes) {
        int[] left = passes.stream().mapToInt(Pass::visits).toArray();
        List<OptionalInt> covers = new ArrayList<>();
        for (Line line : lines) {
            OptionalInt found = OptionalInt.empty();
            for (int i = 0; i < left.length && found.isEmpty(); i++) {
                if (passes.get(i).covers(line, left[i])) {
                    left[i] -= visitsOf(line);
                    found = OptionalInt.of(i);
                }
            }
            covers.add(found);
        }
        return covers;
    }
}
