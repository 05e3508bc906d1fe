package gastfreund.core.sessions;

import gastfreund.core.time.Ascending;
import java.util.Arrays;

/**
 * How many units of a resource are taken at each moment, as steps; the most taken during a stretch is found in constant
 * time after finding its ends, by a table of maxima over runs of 2, 4, 8 … steps.
 */
public final class Levels {

    private final boolean none;
    private final Walk froms;
    private final Walk tos;
    private final int[][] maxima;

    private Levels(long[] at, int[][] maxima) {
        this.none = at.length == 0;
        this.froms = new Walk(at);
        this.tos = new Walk(at);
        this.maxima = maxima;
    }

    /** The most units taken at some moment of {@code [start, end)}; 0 where the stretch is empty. */
    public int most(long start, long end) {
        if (none || start >= end) {
            return 0;
        }
        int from = froms.lastAtOrBefore(start);
        int to = tos.lastAtOrBefore(end - 1);
        if (to < 0) {
            return 0;
        }
        int first = Math.max(from, 0);
        int log = 31 - Integer.numberOfLeadingZeros(to - first + 1);
        return Math.max(maxima[log][first], maxima[log][to - (1 << log) + 1]);
    }

    /** Lets those starts go at which at some moment of {@code [start - before, start + after)} more than {@code most} are taken. */
    public void keepAtMost(int most, Ascending from, long before, long after) {
        if (none && most >= 0) {
            return;
        }
        from.begin();
        for (int i = 0; i < from.size(); i++) {
            long start = from.get(i);
            from.keep(i, most(start - before, start + after) <= most);
        }
        from.end();
    }

    /** Gathers what takes units. */
    public static final class Builder {

        private long[] moments = new long[16];
        private int[] changes = new int[16];
        private int n;

        public Builder take(long start, long end, int units) {
            if (start < end && units > 0) {
                step(start, units);
                step(end, -units);
            }
            return this;
        }

        private void step(long moment, int change) {
            if (n == moments.length) {
                moments = Arrays.copyOf(moments, n * 2);
                changes = Arrays.copyOf(changes, n * 2);
            }
            moments[n] = moment;
            changes[n++] = change;
        }

        public Levels build() {
            if (n == 0) {
                return new Levels(new long[0], new int[0][0]);
            }
            long[] at = Arrays.copyOf(moments, n);
            Arrays.sort(at);
            int distinct = 1;
            for (int i = 1; i < n; i++) {
                if (at[i] != at[distinct - 1]) {
                    at[distinct++] = at[i];
                }
            }
            at = Arrays.copyOf(at, distinct);
            int[] levels = new int[at.length];
            Walk walk = new Walk(at);
            for (int i = 0; i < n; i++) {
                levels[walk.lastAtOrBefore(moments[i])] += changes[i];
            }
            for (int i = 1; i < levels.length; i++) {
                levels[i] += levels[i - 1];
            }
            return new Levels(at, tableOf(levels));
        }

        private static int[][] tableOf(int[] levels) {
            int rows = 32 - Integer.numberOfLeadingZeros(levels.length);
            int[][] table = new int[rows][];
            table[0] = levels;
            for (int row = 1; row < rows; row++) {
                int[] above = table[row - 1];
                int half = 1 << (row - 1);
                table[row] = new int[levels.length - 2 * half + 1];
                for (int i = 0; i < table[row].length; i++) {
                    table[row][i] = Math.max(above[i], above[i + half]);
                }
            }
            return table;
        }
    }
}
