package gastfreund.core.bookings;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is booked and what else takes people's time, ordered so that a query finds what can touch its dates without
 * looking at the rest. Immutable; made once and asked often.
 */
public final class Booked {

    private static final Booked NOTHING = Booked.of(List.of(), List.of());

    private final Booking[] bookings;
    private final Numbered<OfferId> offers = new Numbered<>();
    private final Numbered<StaffId> staff = new Numbered<>();
    private final int[] offerOf;
    private final int[][] staffOf;
    private final long[] bookingStarts;
    private final long[] bookingEnds;
    private final int[] parties;
    private final boolean[] live;
    private final long longestBooking;
    private final Busy[] busy;
    private final long[] busyStarts;
    private final long longestBusy;

    private Booked(List<Booking> bookings, List<Busy> busy) {
        this.bookings = bookings.stream()
                .sorted(Comparator.comparingLong(Booking::start))
                .toArray(Booking[]::new);
        this.offerOf = Arrays.stream(this.bookings)
                .mapToInt(b -> offers.numberOf(b.offer()))
                .toArray();
        this.staffOf = Arrays.stream(this.bookings)
                .map(b ->
                        b.staff().stream().distinct().mapToInt(staff::numberOf).toArray())
                .toArray(int[][]::new);
        this.bookingStarts =
                Arrays.stream(this.bookings).mapToLong(Booking::start).toArray();
        this.bookingEnds = Arrays.stream(this.bookings)
                .mapToLong(b -> b.start() + b.minutes().count())
                .toArray();
        this.parties = Arrays.stream(this.bookings).mapToInt(Booking::party).toArray();
        this.live = new boolean[this.bookings.length];
        for (int i = 0; i < live.length; i++) {
            live[i] = this.bookings[i].isAlwaysLive();
        }
        this.longestBooking =
                bookings.stream().mapToLong(b -> b.minutes().count()).max().orElse(0);
        this.busy = busy.stream()
                .sorted(Comparator.comparingLong(b -> b.interval().start()))
                .toArray(Busy[]::new);
        this.busyStarts =
                Arrays.stream(this.busy).mapToLong(b -> b.interval().start()).toArray();
        this.longestBusy = busy.stream()
                .mapToLong(b -> b.interval().length().count())
                .max()
                .orElse(0);
    }

    /** Bookings and busy time in any order; bookings that ended may be among them and take nothing. */
    public static Booked of(List<Booking> bookings, List<Busy> busy) {
        return new Booked(bookings, busy);
    }

    /** The same with a booking more. */
    public Booked with(Booking booking) {
        List<Booking> more = new ArrayList<>(Arrays.asList(bookings));
        more.add(booking);
        return new Booked(more, Arrays.asList(busy));
    }

    public static Booked nothing() {
        return NOTHING;
    }

    /** Whether two hold the same, in the same order. */
    public boolean isSameAs(Booked other) {
        return this == other || Arrays.equals(bookings, other.bookings) && Arrays.equals(busy, other.busy);
    }

    /** All bookings, by start. */
    public List<Booking> bookings() {
        return Collections.unmodifiableList(Arrays.asList(bookings));
    }

    /**
     * Where the bookings of some offers or served by some people stand whose guest's time, widened by what comes before and
     * after it, may overlap {@code reach}; by start ({@code docs/openings.md}, "Commitments").
     *
     * @param before the most minutes that may be taken before a guest's time
     * @param after the most minutes that may be taken after it
     * @return indexes for {@link #booking}, ascending
     */
    public int[] bookingsTouching(
            Interval reach, long before, long after, Set<OfferId> ofOffers, Set<StaffId> ofStaff) {
        int from = firstAtOrAfter(bookingStarts, reach.start() - longestBooking - after);
        int to = firstAtOrAfter(bookingStarts, reach.end() + before);
        boolean[] offerCounts = offers.marked(ofOffers);
        boolean[] personCounts = staff.marked(ofStaff);
        int[] found = new int[Math.max(0, to - from)];
        int n = 0;
        for (int i = from; i < to; i++) {
            boolean counts = offerCounts[offerOf[i]];
            for (int person : staffOf[i]) {
                counts |= personCounts[person];
            }
            if (counts) {
                found[n++] = i;
            }
        }
        return Arrays.copyOf(found, n);
    }

    /** The booking that stands at an index, counted from 0 by start. */
    public Booking booking(int index) {
        return bookings[index];
    }

    /** The start of the booking at an index (inclusive). */
    public long start(int index) {
        return bookingStarts[index];
    }

    /** The end of the booking at an index (exclusive). */
    public long end(int index) {
        return bookingEnds[index];
    }

    /** How many persons come with the booking at an index. */
    public int party(int index) {
        return parties[index];
    }

    /** Whether the booking at an index takes time at {@code now}. */
    public boolean isLive(int index, Instant now) {
        return live[index] || bookings[index].isLive(now);
    }

    /** How many offers the bookings are of. */
    public int offerCount() {
        return offers.count();
    }

    /** The number of the offer of the booking at an index, from 0 to less than {@link #offerCount()}. */
    public int offerNumber(int index) {
        return offerOf[index];
    }

    /** The number that a person has among those who serve; -1 for somebody who serves nothing. */
    public int staffNumber(StaffId person) {
        return staff.find(person);
    }

    /** How many people serve. */
    public int staffCount() {
        return staff.count();
    }

    /** The numbers of those who serve the booking at an index; not to be changed. */
    public int[] staffNumbers(int index) {
        return staffOf[index];
    }

    /** Gives each name a small number, so that a pass over many bookings compares numbers. */
    private static final class Numbered<T> {

        private final Map<T, Integer> numbers = new HashMap<>();

        int numberOf(T name) {
            return numbers.computeIfAbsent(name, n -> numbers.size());
        }

        int find(T name) {
            return numbers.getOrDefault(name, -1);
        }

        int count() {
            return numbers.size();
        }

        boolean[] marked(Set<T> names) {
            boolean[] marked = new boolean[numbers.size()];
            for (T name : names) {
                Integer number = numbers.get(name);
                if (number != null) {
                    marked[number] = true;
                }
            }
            return marked;
        }
    }

    /** The busy time that may overlap {@code reach}. */
    public List<Busy> busyTouching(Interval reach) {
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
