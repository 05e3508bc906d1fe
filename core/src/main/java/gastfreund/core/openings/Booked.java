package gastfreund.core.openings;

import gastfreund.core.time.Interval;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * What is booked and what else takes people's time, ordered so that a query finds what can touch its dates without
 * looking at the rest. Immutable; made once and asked often.
 */
public final class Booked {

    private static final Booked NOTHING = Booked.of(List.of(), List.of());

    private final Booking[] bookings;
    private final long[] bookingStarts;
    private final long longestBooking;
    private final Busy[] busy;
    private final long[] busyStarts;
    private final long longestBusy;

    private Booked(List<Booking> bookings, List<Busy> busy) {
        this.bookings = bookings.stream().sorted(Comparator.comparingLong(Booking::start)).toArray(Booking[]::new);
        this.bookingStarts = Arrays.stream(this.bookings).mapToLong(Booking::start).toArray();
        this.longestBooking = bookings.stream().mapToLong(b -> b.minutes().count()).max().orElse(0);
        this.busy = busy.stream()
                .sorted(Comparator.comparingLong(b -> b.interval().start()))
                .toArray(Busy[]::new);
        this.busyStarts = Arrays.stream(this.busy).mapToLong(b -> b.interval().start()).toArray();
        this.longestBusy = busy.stream().mapToLong(b -> b.interval().length().count()).max().orElse(0);
    }

    /** Bookings and busy time in any order; bookings that ended may be among them and take nothing. */
    public static Booked of(List<Booking> bookings, List<Busy> busy) {
        return new Booked(bookings, busy);
    }

    public static Booked nothing() {
        return NOTHING;
    }

    /** All bookings, by start. */
    public List<Booking> bookings() {
        return List.of(bookings);
    }

    /** The bookings whose guest's time, widened by what comes before and after it, may overlap {@code reach}. */
    List<Booking> bookingsTouching(Interval reach, long before, long after) {
        int from = firstAtOrAfter(bookingStarts, reach.start() - longestBooking - after);
        int to = firstAtOrAfter(bookingStarts, reach.end() + before);
        return Arrays.asList(bookings).subList(from, to);
    }

    /** The busy time that may overlap {@code reach}. */
    List<Busy> busyTouching(Interval reach) {
        int from = firstAtOrAfter(busyStarts, reach.start() - longestBusy);
        int to = firstAtOrAfter(busyStarts, reach.end());
        return Arrays.asList(busy).subList(from, to);
    }

    private static int firstAtOrAfter(long[] ascending, long value) {
        int low = 0;
        int high = ascending.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (ascending[middle] < value) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
