package gastfreund.app.letters;

import gastfreund.app.companions.Companion;
import gastfreund.app.companions.Companions;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import java.util.Optional;
import java.util.regex.Pattern;
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

    /** What can be a name in a letter to a stranger: nothing that a mail program would make a link of. */
    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{M}' \\u2019-]{1,80}");

    private final Companions companions;
    private final OrderLetters letters;
    private final Outbox outbox;

    CompanionLetters(Companions companions, OrderLetters letters, Outbox outbox) {
        this.companions = companions;
        this.letters = letters;
        this.outbox = outbox;
    }

    /** Invites somebody; false where nobody more can come along, or this address is invited already. */
    @Transactional
    public boolean invite(Order order, OrderLine line, String name, String email) {
        Optional<Companion> added = companions.add(line.booking(), name, email, line.party() - 1);
        added.ifPresent(c -> tell(order, line, c, INVITED));
        return added.isPresent();
    }

    /** Takes an invitation back. */
    @Transactional
    public void takeBack(Order order, OrderLine line, long companion) {
        companions.remove(line.booking(), companion).ifPresent(c -> tell(order, line, c, CANCELLED));
    }

    private void tell(Order order, OrderLine line, Companion companion, String kind) {
        outbox.putForGuest(letter(order, letters.facts(order, line), companion, kind));
    }

    /** A letter about a booking to somebody who comes along. */
    static Letter letter(Order order, Facts facts, Companion companion, String kind) {
        String whose = order.contact().name();
        boolean said = kind.equals(INVITED) && NAME.matcher(whose).matches();
        return new Letter(
                order.id(),
                kind,
                companion.email(),
                order.locale(),
                facts.alongTo(companion.name(), companion.email(), said ? whose : "")
                        .json());
    }
}
