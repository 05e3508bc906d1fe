package gastfreund.app.bookingpage;

import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.AnswerStore;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStore;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes what guests said of themselves. */
@Service
class Details {

    private final OrderStore store;
    private final AnswerStore answers;
    private final BookingJournal journal;
    private final OrderLetters letters;
    private final Clock clock;

    Details(OrderStore store, AnswerStore answers, BookingJournal journal, OrderLetters letters, Clock clock) {
        this.store = store;
        this.answers = answers;
        this.journal = journal;
        this.letters = letters;
        this.clock = clock;
    }

    /** The guest's own change of how they can be reached, and of what they answered. */
    @Transactional
    public void change(Order order, Contact contact, List<GivenAnswer> given) {
        Contact trimmed = contact.trimmed();
        store.changeContact(order.id(), trimmed);
        if (!trimmed.email().equalsIgnoreCase(order.contact().email())) {
            letters.addressChanged(
                    store.byId(order.id()).orElseThrow(), order.contact().email());
        }
        answers.replace(given);
        journal.noteOrder(order, Actor.GUEST, Cause.DETAILS.code(), clock.instant());
    }
}
