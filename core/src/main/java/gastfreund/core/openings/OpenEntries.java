package gastfreund.core.openings;

import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Puts the open starts of options that all last as long into one list of entries. Where nothing about an option depends on its
 * start, it is one value however often it is open, and so is the list of those that are open together.
 */
final class OpenEntries {

    /** Options that are numbered by the bits of a number. */
    private static final int BITS = 63;

    private final Situation situation;
    private final long[][] starts;
    private final int[] next;
    private final long minutes;
    private final boolean alike;
    private final Attempt[] attempts;
    private final Answer.@Nullable Judged[] same;
    private final Map<Long, List<Answer.Judged>> together = new HashMap<>();

    private OpenEntries(Situation situation, long[][] starts) {
        this.situation = situation;
        this.starts = starts;
        this.next = new int[starts.length];
        this.minutes = situation.demand.longest().count();
        this.alike = situation.isOpenAlike() && starts.length <= BITS;
        this.attempts = situation.options.stream().map(Attempt::new).toArray(Attempt[]::new);
        this.same = new Answer.Judged[starts.length];
    }

    /** The entries of an offer that nobody shares. */
    static List<Answer.Entry> of(Situation situation) {
        long[][] starts = OpenStarts.of(situation, Candidates.of(situation).toArray(long[][]::new));
        OpenEntries open = new OpenEntries(situation, starts);
        List<Answer.Entry> entries = new ArrayList<>(starts.length == 0 ? 0 : starts[0].length);
        for (long start = earliest(starts, open.next); start != Long.MAX_VALUE; start = earliest(starts, open.next)) {
            entries.add(new Answer.Entry(
                    Interval.between(start, start + open.minutes),
                    open.alike ? open.alikeAt(start) : open.optionsAt(start)));
        }
        return entries;
    }

    /** The first start that an option has not yet been asked for; {@link Long#MAX_VALUE} where there is none. */
    static long earliest(long[][] starts, int[] next) {
        long earliest = Long.MAX_VALUE;
        for (int i = 0; i < next.length; i++) {
            if (next[i] < starts[i].length) {
                earliest = Math.min(earliest, starts[i][next[i]]);
            }
        }
        return earliest;
    }

    private boolean isOpen(int option, long start) {
        boolean open = next[option] < starts[option].length && starts[option][next[option]] == start;
        next[option] += open ? 1 : 0;
        return open;
    }

    private List<Answer.Judged> alikeAt(long start) {
        long open = 0;
        for (int i = 0; i < starts.length; i++) {
            open |= isOpen(i, start) ? 1L << i : 0;
        }
        List<Answer.Judged> known = together.get(open);
        if (known == null) {
            known = options(open, start);
            together.put(open, known);
        }
        return known;
    }

    private List<Answer.Judged> options(long open, long start) {
        List<Answer.Judged> options = new ArrayList<>();
        for (int i = 0; i < starts.length; i++) {
            if ((open >> i & 1) == 1) {
                Answer.Judged option = same[i] == null ? judged(i, start) : same[i];
                same[i] = option;
                options.add(option);
            }
        }
        return List.copyOf(options);
    }

    private List<Answer.Judged> optionsAt(long start) {
        Answer.Judged[] open = new Answer.Judged[starts.length];
        int n = 0;
        for (int i = 0; i < starts.length; i++) {
            if (isOpen(i, start)) {
                open[n++] = judged(i, start);
            }
        }
        return List.of(Arrays.copyOf(open, n));
    }

    private Answer.Judged judged(int option, long start) {
        Attempt attempt = attempts[option];
        // No rule is asked any more: the date does not matter.
        attempt.goTo(start, situation.firstDay, null);
        Demand.Way way = attempt.option().way();
        return new Answer.Judged(
                way.staff(),
                way.place(),
                new Verdict.Open(situation.left(attempt), situation.price(attempt), situation.contested(attempt)));
    }
}
