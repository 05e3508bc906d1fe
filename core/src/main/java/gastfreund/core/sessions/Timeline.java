package gastfreund.core.sessions;

import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The commitments of one person, in the order of their starts. For each, the latest end up to it and the latest end of
 * the others up to it are kept, so that "taken by anything but this one session?" is one binary search.
 */
public final class Timeline {

    private final List<Commitment> commitments;
    private final Walk walk;
    private final long[] latestEnd;
    private final int[] latest;
    private final long[] secondEnd;

    private Timeline(List<Commitment> unordered) {
        commitments = new ArrayList<>(unordered);
        commitments.sort(Comparator.comparingLong(c -> c.interval().start()));
        int n = commitments.size();
        long[] starts = new long[n];
        latestEnd = new long[n];
        latest = new int[n];
        secondEnd = new long[n];
        long best = Long.MIN_VALUE;
        long second = Long.MIN_VALUE;
        int bestIndex = -1;
        for (int i = 0; i < n; i++) {
            Interval interval = commitments.get(i).interval();
            starts[i] = interval.start();
            if (interval.end() > best) {
                second = best;
                best = interval.end();
                bestIndex = i;
            } else {
                second = Math.max(second, interval.end());
            }
            latestEnd[i] = best;
            latest[i] = bestIndex;
            secondEnd[i] = second;
        }
        walk = new Walk(starts);
    }

    public static Timeline of(List<Commitment> commitments) {
        return new Timeline(commitments);
    }

    /** Whether a commitment, other than the session {@code except} (null: none), overlaps {@code [start, end)}. */
    public boolean taken(long start, long end, @Nullable Session except) {
        int last = lastStartingBefore(end);
        if (last < 0 || start >= end) {
            return false;
        }
        boolean latestIsExcepted = except != null
                && commitments.get(latest[last]) instanceof Commitment.OfSession s
                && s.session() == except;
        return (latestIsExcepted ? secondEnd[last] : latestEnd[last]) > start;
    }

    /** The commitments, other than {@code except}, that overlap {@code [start, end)}, earliest first. */
    public List<Commitment> overlapping(long start, long end, @Nullable Session except) {
        List<Commitment> found = new ArrayList<>();
        for (int i = lastStartingBefore(end); i >= 0 && latestEnd[i] > start; i--) {
            Commitment commitment = commitments.get(i);
            boolean excepted = commitment instanceof Commitment.OfSession s && s.session() == except;
            if (commitment.interval().end() > start && !excepted) {
                found.add(0, commitment);
            }
        }
        return List.copyOf(found);
    }

    private int lastStartingBefore(long end) {
        return walk.lastAtOrBefore(end - 1);
    }
}
