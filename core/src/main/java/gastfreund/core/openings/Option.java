package gastfreund.core.openings;

import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Timeline;
import gastfreund.core.time.IntervalSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One way in which an offer can be had, with the hours and people that it depends on.
 *
 * @param staffSet who serves
 * @param layers the hours it must pass, in the order of the definition
 * @param open for each layer its open time in reach of the query
 * @param everyLayer what is open in all layers at once
 * @param serving the people, in the offer's order
 */
record Option(
        Demand.Way way,
        Set<StaffId> staffSet,
        List<Layer> layers,
        List<IntervalSet> open,
        IntervalSet everyLayer,
        Server[] serving) {

    /**
     * One of the people.
     *
     * @param timeline what takes them
     * @param fixed what takes them apart from bookings
     * @param sessions how many sessions they serve, by the situation's days; null where it is not limited
     * @param most sessions a day
     */
    record Server(StaffId person, Timeline timeline, Timeline fixed, int @Nullable [] sessions, int most) {}

    /** Who serves, in the offer's order. */
    List<StaffId> staff() {
        return way.staff();
    }
}
