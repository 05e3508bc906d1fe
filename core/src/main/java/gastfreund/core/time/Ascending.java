package gastfreund.core.time;

import java.util.Arrays;

/**
 * Some moments in ascending order, of which one rule after the other lets some go. Whoever goes through them calls
 * {@link #begin}, then {@link #keep} once for each in order, then {@link #end}: nothing is copied. For one query at a time.
 */
public final class Ascending {

    private final long[] moments;
    private int size;
    private int kept;

    private Ascending(long[] moments) {
        this.moments = moments;
        this.size = moments.length;
    }

    /** @param moments ascending; they are copied */
    public static Ascending of(long[] moments) {
        return new Ascending(moments.clone());
    }

    /** How many there are; what was let go in a round that has not ended is among them. */
    public int size() {
        return size;
    }

    /** The moment at an index, counted from 0; in a round only of those that were not yet decided about. */
    public long get(int index) {
        return moments[index];
    }

    /** Begins a round. */
    public void begin() {
        kept = 0;
    }

    /** Decides about the moment at an index. */
    public void keep(int index, boolean stays) {
        moments[kept] = moments[index];
        kept += stays ? 1 : 0;
    }

    /** Ends a round: what was not kept is gone. */
    public void end() {
        size = kept;
    }

    /** Lets those go that are before {@code earliest}. */
    public void dropBefore(long earliest) {
        if (size == 0 || moments[0] >= earliest) {
            return;
        }
        begin();
        for (int i = 0; i < size; i++) {
            keep(i, moments[i] >= earliest);
        }
        end();
    }

    /** Those that are left. */
    public long[] toArray() {
        return Arrays.copyOf(moments, size);
    }
}
