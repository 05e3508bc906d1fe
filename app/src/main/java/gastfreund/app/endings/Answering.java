package gastfreund.app.endings;

import gastfreund.app.journal.Actor;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Outcome;
import gastfreund.app.rounds.Attention;
import gastfreund.core.bookings.BookingId;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says yes to requests, also where others want the same time. */
@Service
public class Answering implements Attention {

    private final Endings endings;
    private final Orders orders;
    private final Rivals rivals;

    Answering(Endings endings, Orders orders, Rivals rivals) {
        this.endings = endings;
        this.orders = orders;
        this.rivals = rivals;
    }

    /**
     * A yes.
     *
     * @param words to the guest; empty: none
     * @param declineOthers whether other requests for the same time are declined
     * @param wordsToOthers to their guests; empty: none
     * @param inSpite whether it is booked although somebody stands there already
     */
    public record Yes(String words, boolean declineOthers, String wordsToOthers, boolean inSpite) {}

    @Override
    public int waiting() {
        return endings.countAsking();
    }

    @Override
    public boolean isAnswer() {
        return true;
    }

    /** Books what was asked for; nothing is done where somebody stands there already, unless that is meant. */
    @Transactional
    public Outcome yes(Order order, BookingId booking, Yes yes, Actor host) {
        Optional<OrderLine> line = orders.now(order).line(booking);
        if (line.isEmpty()) {
            return Outcome.CHANGED;
        }
        Rivals.Found others = rivals.of(line.get());
        if (!others.standing().isEmpty() && !yes.inSpite()) {
            return Outcome.CHANGED;
        }
        Outcome outcome = endings.accept(order, booking, yes.words(), host);
        if (outcome == Outcome.DONE && yes.declineOthers()) {
            for (Rivals.Rival rival : others.asking()) {
                endings.decline(rival.order(), rival.line().booking(), yes.wordsToOthers(), host);
            }
        }
        return outcome;
    }
}
