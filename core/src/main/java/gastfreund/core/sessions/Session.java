package gastfreund.core.sessions;

import gastfreund.core.bookings.Booking;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What takes place at one start: one booking, several that share it, or what a timetable says.
 *
 * @param guests the guests' time
 * @param taken the guests' time with the offer's prep and reset
 * @param place null where the offer has none
 * @param bookings its live bookings; at least one unless a timetable has the session
 * @param entry of the timetable that has it, booked or not; null where none has
 */
public record Session(
        OfferId offer,
        Interval guests,
        Interval taken,
        Set<StaffId> staff,
        @Nullable PlaceId place,
        List<Booking> bookings,
        Timetable.@Nullable Entry entry) {

    /** What bookings of one shared session have in common; of a timetable's session only where it is and when. */
    public record Key(
            OfferId offer,
            long start,
            @Nullable Minutes minutes,
            @Nullable Set<StaffId> staff,
            @Nullable PlaceId place) {

        public static Key ofTimetable(OfferId offer, long start, @Nullable PlaceId place) {
            return new Key(offer, start, null, null, place);
        }
    }

    /** Whether a timetable has it, booked or not. */
    public boolean timetabled() {
        return entry != null;
    }

    /** How many persons come with its live bookings. */
    public int persons() {
        int sum = 0;
        for (Booking booking : bookings) {
            sum += booking.party();
        }
        return sum;
    }
}
