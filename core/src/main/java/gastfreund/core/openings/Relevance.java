package gastfreund.core.openings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Use;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;

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
        Set<ResourceId> resources =
                demand.offer().uses().stream().map(Use::resource).collect(Collectors.toSet());
        for (Offer offer : house.offers()) {
            boolean sharesAResource = offer.uses().stream().anyMatch(use -> resources.contains(use.resource()));
            if (offer.hasTimetable()
                    || sharesAResource
                    || offer.id().equals(demand.offer().id())) {
                offers.add(offer.id());
            }
        }
        return new Relevance(offers, staff);
    }
}
