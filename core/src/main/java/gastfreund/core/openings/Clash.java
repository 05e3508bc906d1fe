package gastfreund.core.openings;

import gastfreund.core.sessions.Session;
import java.util.List;

/**
 * A session that no longer fits ({@code docs/openings.md}, "Clashes").
 *
 * @param reasons what does not fit, in the order of the definition; at least one
 */
public record Clash(Session session, List<Reason> reasons) {

    public Clash {
        reasons = List.copyOf(reasons);
    }
}
