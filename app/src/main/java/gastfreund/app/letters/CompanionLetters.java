package gastfreund.app.letters;

import gastfreund.app.companions.Companion;
import gastfreund.app.companions.Companions;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What those are told who come along: when and where, as a calendar file that follows, and nothing of the order. They have no
 * link to it.
 */
@Service
public class CompanionLetters {

    static final String INVITED = "companion-invited";
    static final String MOVED = "companion-moved";
    static final String CANCELLED = "companion-cancelled";

    private final Companions companions;
    private final OrderLetters letters;

    CompanionLetters(Companions companions, OrderLetters letters) {
        this.companions = companions;
        this.letters = letters;
    }

    /** Invites somebody; false where nobody more can come along, or this address is invited already. */
    @Transactional
    public boolean invite(Order order, OrderLine line, String name, String email) {
        Optional<Companion> added = companions.add(line.booking(), name, email, line.party() - 1);
        added.ifPresent(c -> letters.toCompanion(order, line, c, INVITED));
        return added.isPresent();
    }

    /** Takes an invitation back. */
    @Transactional
    public void takeBack(Order order, OrderLine line, long companion) {
        companions.remove(line.booking(), companion).ifPresent(c -> letters.toCompanion(order, line, c, CANCELLED));
    }
}
