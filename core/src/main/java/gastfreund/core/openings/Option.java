package gastfreund.core.openings;

import gastfreund.core.offers.StaffId;
import gastfreund.core.time.IntervalSet;
import java.util.List;
import java.util.Set;

/**
 * One way in which an offer can be had, with the hours and people that it depends on.
 *
 * @param staffSet who serves
 * @param layers the hours it must pass, in the order of the definition
 * @param open for each layer its open time in reach of the query
 * @param timelines for each of the people what takes them
 * @param fixed for each of the people what takes them apart from bookings
 */
record Option(
        Demand.Way way,
        Set<StaffId> staffSet,
        List<Layer> layers,
        List<IntervalSet> open,
        List<Timeline> timelines,
        List<Timeline> fixed) {

    /** Who serves, in the offer's order. */
    List<StaffId> staff() {
        return way.staff();
    }
}
