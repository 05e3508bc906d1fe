package gastfreund.core.openings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Use;
import java.util.HashSet;
import java.util.Set;

/**
 * Which bookings can matter to a demand: those of its offer, its people and its resources, and all of timetables.
 *
 * @param offers whose bookings matter whoever serves
 * @param staff whose bookings matter whatever they serve
 */
record Relevance(Set<OfferId> offers, Set<StaffId> staff) {

    static Relevance of(House house, Demand demand) {
        Set<OfferId> offers = new HashSet<>();
        Set<StaffId> staff = new HashSet<>();
        demand.ways().forEach(way -> staff.addAll(way.staff()));
        Set<ResourceId> resources = new HashSet<>();
        demand.offer().uses().forEach(use -> resources.add(use.resource()));
        offers.add(demand.offer().id());
        for (Offer offer : house.offers()) {
            if (offer.hasTimetable() || usesAny(offer, resources)) {
                offers.add(offer.id());
            }
        }
        return new Relevance(offers, staff);
    }

    private static boolean usesAny(Offer offer, Set<ResourceId> resources) {
        for (Use use : offer.uses()) {
            if (resources.contains(use.resource())) {
                return true;
            }
        }
        return false;
    }
}
