package gastfreund.app.tracing;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.springframework.stereotype.Component;

/** The last faults of ours since the start, as far as whoever runs the house needs them to find the rest in the log. */
@Component
public class RecentFaults {

    private static final int MOST = 20;

    /**
     * A request that could not be answered.
     *
     * @param request its id
     * @param where the method, and the address with names in place of what stood in it
     * @param what the class of what was thrown; empty: nothing was
     */
    public record Fault(String request, Instant at, String where, String what) {}

    private final Deque<Fault> faults = new ArrayDeque<>();

    synchronized void add(Fault fault) {
        faults.addFirst(fault);
        if (faults.size() > MOST) {
            faults.removeLast();
        }
    }

    /** Those of the last while, the newest first. */
    public synchronized List<Fault> all() {
        return List.copyOf(faults);
    }
}
