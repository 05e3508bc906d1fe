package gastfreund.core.openings;

import java.util.ArrayList;
import java.util.List;

/** The reasons found against one attempt: all of them, or, unless all are asked for, no more than the first. */
final class Reasons {

    private final boolean all;
    private final List<Reason> found = new ArrayList<>(4);

    private Reasons(boolean all) {
        this.all = all;
    }

    static Reasons all() {
        return new Reasons(true);
    }

    static Reasons first() {
        return new Reasons(false);
    }

    void add(Reason reason) {
        found.add(reason);
    }

    boolean none() {
        return found.isEmpty();
    }

    /** Whether there is no need to look further. */
    boolean enough() {
        return !all && !found.isEmpty();
    }

    void clear() {
        if (!found.isEmpty()) {
            found.clear();
        }
    }

    List<Reason> list() {
        return List.copyOf(found);
    }
}
