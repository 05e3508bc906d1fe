package gastfreund.app.arrivals;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A table that came.
 *
 * @param columns what its columns are; empty: nobody has said
 * @param monthFirst whether {@code 1/2/2027} is the second of January
 * @param out the rows that are left out, by their numbers from 1 on
 * @param taken when it was taken over; null: it was not
 * @param undone when that was taken back; null: it was not
 */
record Arrival(
        long id,
        String name,
        String who,
        Instant came,
        String content,
        List<Column> columns,
        boolean monthFirst,
        Set<Integer> out,
        @Nullable Instant taken,
        @Nullable Instant undone) {

    Arrival {
        columns = List.copyOf(columns);
        out = Set.copyOf(out);
    }

    boolean isOpen() {
        return taken == null;
    }
}
