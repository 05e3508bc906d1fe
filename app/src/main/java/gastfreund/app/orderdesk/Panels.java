package gastfreund.app.orderdesk;

import gastfreund.app.companions.Companion;
import gastfreund.app.companions.Companions;
import gastfreund.app.hosts.Host;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.GivenAnswer;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.talks.Talks;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is shown of a booking beside the board. */
@Component
public class Panels {

    /** How much of what was said and what happened is shown; the rest is on the order's page. */
    private static final int LAST = 3;

    private final Orders orders;
    private final Decisions decisions;
    private final Conversation conversation;
    private final Talks talks;
    private final Companions companions;

    Panels(Orders orders, Decisions decisions, Conversation conversation, Talks talks, Companions companions) {
        this.companions = companions;
        this.orders = orders;
        this.decisions = decisions;
        this.conversation = conversation;
        this.talks = talks;
    }

    /**
     * @param board the address to which decisions lead back
     * @param typed what the host wrote that could not be done; null: nothing
     */
    public Panel of(Order order, OrderLine line, Host host, String board, @Nullable Object typed, Formats f) {
        Typed wrong = typed instanceof Typed t ? t : Typed.nothing();
        return new Panel(
                order,
                decisions.came(line, f),
                answers(line, f),
                talks.note(line.booking()).orElse(null),
                decisions.about(order, line, host, wrong, f).stream()
                        .map(d -> d.on(board))
                        .toList(),
                last(conversation.of(order, f)),
                last(orders.journal(order).stream()
                        .filter(e -> e.subject().equals(line.booking().value()))
                        .map(e -> step(e, f))
                        .toList()));
    }

    /** What its guest answered, and who comes along. */
    private List<GivenAnswer> answers(OrderLine line, Formats f) {
        List<GivenAnswer> answers = new ArrayList<>(orders.answersOf(line.booking()));
        for (Companion one : companions.of(line.booking())) {
            String words = one.name() + ", " + one.email();
            answers.add(new GivenAnswer(line.booking(), 0, "along", f.text("along.comes"), words));
        }
        return answers;
    }

    private static <T> List<T> last(List<T> all) {
        return all.subList(Math.max(0, all.size() - LAST), all.size());
    }

    private static String step(JournalEntry entry, Formats f) {
        OrderPage.Step step = OrderPage.Step.of(entry, f);
        String what = entry.from().equals(entry.to())
                ? step.why()
                : f.text("step." + entry.to().replace(' ', '-'));
        return f.moment(entry.at()) + ": " + what + " · " + step.who();
    }
}
