package gastfreund.core.offers;

import gastfreund.core.hours.OfferId;
import java.util.HashSet;
import java.util.Set;

/**
 * The things of a house that nothing new is booked with; what is booked with them stays ({@code docs/openings.md},
 * "Retired").
 */
public record Retired(Set<PlaceId> places, Set<StaffId> staff, Set<ResourceId> resources, Set<OfferId> offers) {

    private static final Retired NOTHING = new Retired(Set.of(), Set.of(), Set.of(), Set.of());

    public Retired {
        places = Set.copyOf(places);
        staff = Set.copyOf(staff);
        resources = Set.copyOf(resources);
        offers = Set.copyOf(offers);
    }

    public static Retired nothing() {
        return NOTHING;
    }

    /** The same without an offer: for a booking of it that is to be moved. */
    public Retired without(OfferId offer) {
        Set<OfferId> others = new HashSet<>(offers);
        return others.remove(offer) ? new Retired(places, staff, resources, others) : this;
    }
}
