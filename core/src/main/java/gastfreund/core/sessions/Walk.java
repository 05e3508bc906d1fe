package gastfreund.core.sessions;

/**
 * Finds places in ascending moments, quickest when asked in ascending order: it goes on from where it was, and searches
 * the rest by halves only where that is far. For one query at a time.
 */
public final class Walk {

    private static final int NEAR = 8;

    private final long[] moments;
    private int at = -1;

    /** @param moments ascending */
    Walk(long[] moments) {
        this.moments = moments;
    }

    /** The index of the last moment at or before {@code moment}; -1 where all are later. */
    int lastAtOrBefore(long moment) {
        int low = at >= 0 && moments[at] <= moment ? at : -1;
        for (int steps = 0; steps < NEAR && low + 1 < moments.length; steps++) {
            if (moments[low + 1] > moment) {
                at = low;
                return low;
            }
            low++;
        }
        int high = moments.length;
        while (low + 1 < high) {
            int middle = (low + high) >>> 1;
            if (moments[middle] <= moment) {
                low = middle;
            } else {
                high = middle;
            }
        }
        at = low;
        return low;
    }
}
