package gastfreund.core.offers;

import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Recurrence;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Sessions at times the host fixed beforehand ({@code docs/openings.md}, "Mode timetable").
 *
 * @param entries at least one, in the offer's order
 */
public record Timetable(List<Entry> entries) {

    /**
     * Some sessions of a timetable.
     *
     * @param times when they start, in local time
     * @param length how long they last
     * @param staff who serves, in the entry's order; empty: nobody
     * @param place null where the offer has none
     * @param seats persons in one session; empty: as many as the offer has
     */
    public record Entry(
            Recurrence times, Length length, List<StaffId> staff, @Nullable PlaceId place, OptionalInt seats) {

        public Entry {
            staff = List.copyOf(staff);
            if (seats.isPresent() && seats.getAsInt() < 1) {
                throw new IllegalArgumentException("a shared session has at least one seat");
            }
        }

        /**
         * The starts on some local dates, both ends inclusive, as minutes since the epoch; by the zone's rules, so that
         * they may lie on another date where the clock skips them.
         */
        public long[] startsBetween(LocalDate from, LocalDate to, HouseZone zone) {
            long[] starts = times.between(from, to);
            for (int i = 0; i < starts.length; i++) {
                starts[i] = zone.minuteOf(Recurrence.localOf(starts[i]));
            }
            return starts;
        }
    }

    /** @throws IllegalArgumentException where there is no entry */
    public Timetable {
        entries = List.copyOf(entries);
        if (entries.isEmpty()) {
            throw new IllegalArgumentException("a timetable has at least one entry");
        }
    }

    /** The most seats that an entry has of its own; 0 where none has. */
    public int mostSeats() {
        return entries.stream().mapToInt(e -> e.seats().orElse(0)).max().orElse(0);
    }

    private record Occasion(long start, @Nullable PlaceId place) {}

    /** Whether two sessions start at one moment and place within two years of the first. */
    public boolean clashes(HouseZone zone) {
        LocalDate first = entries.stream()
                .map(e -> e.times().start().toLocalDate())
                .min(LocalDate::compareTo)
                .orElseThrow();
        Set<Occasion> occasions = new HashSet<>();
        for (Entry entry : entries) {
            for (long start : entry.startsBetween(first, first.plusYears(2), zone)) {
                if (!occasions.add(new Occasion(start, entry.place()))) {
                    return true;
                }
            }
        }
        return false;
    }
}
