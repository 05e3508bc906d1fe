package gastfreund.core.openings;

import java.util.Arrays;

/**
 * How many units of a resource are taken at each moment, as steps; the most taken during a stretch is found in constant
 * time after two binary searches, by a table of maxima over runs of 2, 4, 8 … steps.
 */
final class Levels {

    private static final Levels NONE = new Levels(new long[0], new int[0][0]);

    private final long[] at;
    private final int[][] maxima;

    private Levels(long[] at, int[][] maxima) {
        this.at = at;
        this.maxima = maxima;
    }

    /** The most units taken at some moment of {@code [start, end)}; 0 where the stretch is empty. */
    int most(long start, long end) {
        if (at.length == 0 || start >= end) {
            return 0;
        }
        int from = lastAtOrBefore(start);
        int to = lastAtOrBefore(end - 1);
        if (to < 0) {
            return 0;
        }
        int first = Math.max(from, 0);
        int log = 31 - Integer.numberOfLeadingZeros(to - first + 1);
        return Math.max(maxima[log][first], maxima[log][to - (1 << log) + 1]);
    }

    private int lastAtOrBefore(long moment) {
        int found = Arrays.binarySearch(at, moment);
        return found >= 0 ? found : -found - 2;
    }

    /** Gathers what takes units. */
    static final class Builder {

        private long[] moments = new long[16];
        private int[] changes = new int[16];
        private int n;

        Builder take(long start, long end, int units) {
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

        Levels build() {
            if (n == 0) {
                return NONE;
            }
            long[] at = Arrays.stream(moments, 0, n).sorted().distinct().toArray();
            int[] levels = new int[at.length];
            for (int i = 0; i < n; i++) {
                levels[Arrays.binarySearch(at, moments[i])] += changes[i];
            }
            Arrays.parallelPrefix(levels, Integer::sum);
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
