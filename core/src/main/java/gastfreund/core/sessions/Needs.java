package gastfreund.core.sessions;

import gastfreund.core.offers.Offer;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Use;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What an offer takes of one resource, entries added up ({@code docs/openings.md}, "Who and what serves").
 *
 * @param resource null for the implied one
 */
public record Needs(@Nullable ResourceId resource, int perSession, int perBooking, int perPerson) {

    /** The needs of an offer, in the order in which it first names each resource; the implied one where it needs it. */
    public static List<Needs> of(Offer offer) {
        if (offer.impliesResource()) {
            return List.of(new Needs(null, 1, 0, 0));
        }
        Map<ResourceId, int[]> sums = new LinkedHashMap<>();
        for (Use use : offer.uses()) {
            sums.computeIfAbsent(use.resource(), r -> new int[3])[use.per().ordinal()] += use.units();
        }
        List<Needs> needs = new ArrayList<>();
        sums.forEach((resource, n) -> needs.add(new Needs(resource, n[0], n[1], n[2])));
        return List.copyOf(needs);
    }

    /** What a party's booking takes; with the session's own units unless it joins one that has them already. */
    public int of(int party, boolean joining) {
        return Math.addExact(joining ? 0 : perSession, Math.addExact(perBooking, Math.multiplyExact(perPerson, party)));
    }

    /** What a whole session of live bookings takes. */
    public int of(Session session) {
        return perSession + perBooking * session.bookings().size() + perPerson * session.persons();
    }
}
