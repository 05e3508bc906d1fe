package gastfreund.core.time;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A set of moments, kept as its maximal intervals: sorted, not empty, and neither overlapping nor touching
 * ({@code docs/openings.md}, "Hours": windows that touch or overlap are one). Immutable; all operations give new sets
 * and cost one pass over both.
 */
public final class IntervalSet {

    private static final IntervalSet EMPTY = new IntervalSet(new long[0]);

    /** start, end, start, end … strictly ascending. */
    private final long[] bounds;

    private IntervalSet(long[] bounds) {
        this.bounds = bounds;
    }

    /** The set without any moment. */
    public static IntervalSet empty() {
        return EMPTY;
    }

    /** All moments of one interval; empty where the interval is. */
    public static IntervalSet of(Interval interval) {
        return interval.start() == interval.end()
                ? EMPTY
                : new IntervalSet(new long[] {interval.start(), interval.end()});
    }

    /** The union of intervals in any order; empty ones add nothing. */
    public static IntervalSet union(Iterable<Interval> intervals) {
        Builder builder = new Builder();
        intervals.forEach(i -> builder.add(i.start(), i.end()));
        return builder.build();
    }

    /** How many maximal intervals it has. */
    public int size() {
        return bounds.length / 2;
    }

    /** Whether no moment belongs to it. */
    public boolean isEmpty() {
        return bounds.length == 0;
    }

    /** The start (inclusive) of the maximal interval at {@code index}, counted from 0. */
    public long start(int index) {
        return bounds[2 * index];
    }

    /** The end (exclusive) of the maximal interval at {@code index}, counted from 0. */
    public long end(int index) {
        return bounds[2 * index + 1];
    }

    /** The maximal intervals, earliest first. */
    public List<Interval> intervals() {
        List<Interval> list = new ArrayList<>(size());
        for (int i = 0; i < size(); i++) {
            list.add(Interval.between(start(i), end(i)));
        }
        return list;
    }

    /** Whether one maximal interval has every moment of {@code [start, end)}; {@code start < end} is expected. */
    public boolean encloses(long start, long end) {
        int index = indexAtOrBefore(start);
        return index >= 0 && end <= end(index);
    }

    /** Whether the moment belongs to it. */
    public boolean contains(long minute) {
        return encloses(minute, minute + 1);
    }

    /** The index of the last maximal interval that starts at or before {@code minute}, -1 where there is none. */
    public int indexAtOrBefore(long minute) {
        int low = 0;
        int high = size() - 1;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            if (bounds[2 * middle] <= minute) {
                low = middle + 1;
            } else {
                high = middle - 1;
            }
        }
        return high;
    }

    /** The moments that belong to this set, to the other, or to both. */
    public IntervalSet union(IntervalSet other) {
        Builder builder = new Builder();
        builder.addAll(this);
        builder.addAll(other);
        return builder.build();
    }

    /** The moments that belong to both. */
    public IntervalSet intersect(IntervalSet other) {
        long[] result = new long[bounds.length + other.bounds.length];
        int n = 0;
        int i = 0;
        int j = 0;
        while (i < bounds.length && j < other.bounds.length) {
            long start = Math.max(bounds[i], other.bounds[j]);
            long end = Math.min(bounds[i + 1], other.bounds[j + 1]);
            if (start < end) {
                result[n++] = start;
                result[n++] = end;
            }
            if (bounds[i + 1] < other.bounds[j + 1]) {
                i += 2;
            } else {
                j += 2;
            }
        }
        return n == 0 ? EMPTY : new IntervalSet(Arrays.copyOf(result, n));
    }

    /** The moments that belong to this set and not to the other. */
    public IntervalSet without(IntervalSet other) {
        long[] result = new long[bounds.length + other.bounds.length];
        int n = 0;
        int j = 0;
        for (int i = 0; i < bounds.length; i += 2) {
            long start = bounds[i];
            long end = bounds[i + 1];
            while (j < other.bounds.length && other.bounds[j + 1] <= start) {
                j += 2;
            }
            for (int k = j; k < other.bounds.length && other.bounds[k] < end; k += 2) {
                if (start < other.bounds[k]) {
                    result[n++] = start;
                    result[n++] = other.bounds[k];
                }
                start = Math.max(start, other.bounds[k + 1]);
            }
            if (start < end) {
                result[n++] = start;
                result[n++] = end;
            }
        }
        return n == 0 ? EMPTY : new IntervalSet(Arrays.copyOf(result, n));
    }

    /** The moments of this set inside one interval. */
    public IntervalSet within(Interval interval) {
        int first = Math.max(0, indexAtOrBefore(interval.start()));
        int last = indexAtOrBefore(interval.end() - 1);
        if (last < first || interval.start() == interval.end()) {
            return EMPTY;
        }
        long[] inside = Arrays.copyOfRange(bounds, 2 * first, 2 * last + 2);
        inside[0] = Math.max(inside[0], interval.start());
        inside[inside.length - 1] = Math.min(inside[inside.length - 1], interval.end());
        // The first may end before the interval begins.
        int from = inside[1] <= inside[0] ? 2 : 0;
        return from == inside.length ? EMPTY : new IntervalSet(Arrays.copyOfRange(inside, from, inside.length));
    }

    /**
     * Those of some starts from which a stretch of {@code length} lies inside one maximal interval.
     *
     * @param starts ascending
     */
    public long[] fitting(long[] starts, Minutes length) {
        long[] fitting = new long[starts.length];
        int n = 0;
        int next = 0;
        for (int at = 0; at < bounds.length && next < starts.length; at += 2) {
            next = firstAtOrAfter(starts, next, bounds[at]);
            long last = bounds[at + 1] - length.count();
            while (next < starts.length && starts[next] <= last) {
                fitting[n++] = starts[next++];
            }
        }
        return Arrays.copyOf(fitting, n);
    }

    /** The first index from {@code from} on of a moment at or after another: near ones are found first. */
    private static int firstAtOrAfter(long[] ascending, int from, long moment) {
        int low = from;
        int step = 1;
        while (low + step < ascending.length && ascending[low + step] < moment) {
            low += step;
            step *= 2;
        }
        int high = Math.min(ascending.length, low + step);
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (ascending[middle] < moment) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof IntervalSet set && Arrays.equals(bounds, set.bounds);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(bounds);
    }

    @Override
    public String toString() {
        return intervals().toString();
    }

    /** Gathers intervals, cheapest when they come in order of their starts. */
    public static final class Builder {

        private long[] bounds = new long[16];
        private int length;
        private boolean sorted = true;

        /** Adds {@code [start, end)}; nothing where {@code end} is at or before {@code start}. */
        public Builder add(long start, long end) {
            if (start >= end) {
                return this;
            }
            if (length > 0 && sorted && start >= bounds[length - 2]) {
                if (start <= bounds[length - 1]) {
                    bounds[length - 1] = Math.max(bounds[length - 1], end);
                    return this;
                }
            } else if (length > 0) {
                sorted = false;
            }
            if (length + 2 > bounds.length) {
                bounds = Arrays.copyOf(bounds, bounds.length * 2);
            }
            bounds[length++] = start;
            bounds[length++] = end;
            return this;
        }

        private void addAll(IntervalSet set) {
            for (int i = 0; i < set.size(); i++) {
                add(set.start(i), set.end(i));
            }
        }

        /** The union of all that was added. */
        public IntervalSet build() {
            if (length == 0) {
                return EMPTY;
            }
            if (sorted) {
                return new IntervalSet(Arrays.copyOf(bounds, length));
            }
            Integer[] order = new Integer[length / 2];
            Arrays.setAll(order, i -> 2 * i);
            Arrays.sort(order, (a, b) -> Long.compare(bounds[a], bounds[b]));
            Builder inOrder = new Builder();
            for (int i : order) {
                inOrder.add(bounds[i], bounds[i + 1]);
            }
            return inOrder.build();
        }
    }
}
