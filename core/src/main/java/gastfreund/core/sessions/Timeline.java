package gastfreund.core.sessions;

import gastfreund.core.time.Ascending;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The commitments of one person, in the order of their starts. For each, the latest end up to it and the latest end of
 * the others up to it are kept, so that "taken by anything but this one session?" is one binary search. What takes the time
 * is only made a commitment of where somebody asks what it is.
 */
public final class Timeline {

    private final Object[] what;
    private final Function<Object, Commitment> commitment;
    private final long[] starts;
    private final long[] ends;
    private final Walk walk;
    private final long[] latestEnd;
    private final int[] latest;
    private final long[] secondEnd;

    private Timeline(long[] starts, long[] ends, Object[] what, Function<Object, Commitment> commitment) {
        this.starts = starts;
        this.ends = ends;
        this.what = what;
        this.commitment = commitment;
        int n = starts.length;
        latestEnd = new long[n];
        latest = new int[n];
        secondEnd = new long[n];
        long best = Long.MIN_VALUE;
        long second = Long.MIN_VALUE;
        int bestIndex = -1;
        for (int i = 0; i < n; i++) {
            if (ends[i] > best) {
                second = best;
                best = ends[i];
                bestIndex = i;
            } else {
                second = Math.max(second, ends[i]);
            }
            latestEnd[i] = best;
            latest[i] = bestIndex;
            secondEnd[i] = second;
        }
        walk = new Walk(starts);
    }

    public static Timeline of(List<Commitment> commitments) {
        Builder builder = new Builder(what -> (Commitment) what);
        for (Commitment commitment : commitments) {
            Interval interval = commitment.interval();
            builder.add(interval.start(), interval.end(), commitment);
        }
        return builder.build();
    }

    /** Gathers what takes a person's time, cheapest when it comes in order of starts. */
    public static final class Builder {

        private final Function<Object, Commitment> commitment;
        private long[] starts = new long[16];
        private long[] ends = new long[16];
        private Object[] what = new Object[16];
        private int n;
        private boolean sorted = true;

        /** @param commitment what is made of something that takes time, where it is asked for */
        public Builder(Function<Object, Commitment> commitment) {
            this.commitment = commitment;
        }

        /**
         * Adds something that takes {@code [start, end)}.
         *
         * @param by what takes it; a session that can be left out is given as a {@link Session}
         */
        public Builder add(long start, long end, Object by) {
            if (n == starts.length) {
                starts = Arrays.copyOf(starts, n * 2);
                ends = Arrays.copyOf(ends, n * 2);
                what = Arrays.copyOf(what, n * 2);
            }
            sorted &= n == 0 || starts[n - 1] <= start;
            starts[n] = start;
            ends[n] = end;
            what[n++] = by;
            return this;
        }

        public Timeline build() {
            if (sorted) {
                return new Timeline(
                        Arrays.copyOf(starts, n), Arrays.copyOf(ends, n), Arrays.copyOf(what, n), commitment);
            }
            Integer[] order = new Integer[n];
            Arrays.setAll(order, i -> i);
            Arrays.sort(order, Comparator.comparingLong(i -> starts[i]));
            long[] inOrder = new long[n];
            long[] endsInOrder = new long[n];
            Object[] whatInOrder = new Object[n];
            for (int i = 0; i < n; i++) {
                inOrder[i] = starts[order[i]];
                endsInOrder[i] = ends[order[i]];
                whatInOrder[i] = what[order[i]];
            }
            return new Timeline(inOrder, endsInOrder, whatInOrder, commitment);
        }
    }

    /** Whether a commitment, other than the session {@code except} (null: none), overlaps {@code [start, end)}. */
    public boolean taken(long start, long end, @Nullable Session except) {
        int last = lastStartingBefore(end);
        if (last < 0 || start >= end) {
            return false;
        }
        return (isOf(latest[last], except) ? secondEnd[last] : latestEnd[last]) > start;
    }

    /**
     * Lets those starts go from which a commitment overlaps {@code [start - before, start + after)}.
     *
     * @param after at least {@code 1 - before}
     */
    public void keepFree(Ascending from, long before, long after) {
        if (ends.length == 0) {
            return;
        }
        from.begin();
        int last = -1;
        for (int i = 0; i < from.size(); i++) {
            long start = from.get(i);
            while (last + 1 < starts.length && starts[last + 1] < start + after) {
                last++;
            }
            from.keep(i, last < 0 || latestEnd[last] <= start - before);
        }
        from.end();
    }

    /** The commitments, other than {@code except}, that overlap {@code [start, end)}, earliest first. */
    public List<Commitment> overlapping(long start, long end, @Nullable Session except) {
        List<Commitment> found = new ArrayList<>();
        for (int i = lastStartingBefore(end); i >= 0 && latestEnd[i] > start; i--) {
            if (ends[i] > start && !isOf(i, except)) {
                found.add(0, commitment.apply(what[i]));
            }
        }
        return List.copyOf(found);
    }

    private boolean isOf(int index, @Nullable Session session) {
        return session != null
                && (what[index] == session
                        || what[index] instanceof Commitment.OfSession of && of.session() == session);
    }

    private int lastStartingBefore(long end) {
        return walk.lastAtOrBefore(end - 1);
    }
}
