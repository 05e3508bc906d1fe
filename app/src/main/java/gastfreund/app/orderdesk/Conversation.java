package gastfreund.app.orderdesk;

import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Sent;
import gastfreund.app.orders.Order;
import gastfreund.app.talks.Talk;
import gastfreund.app.talks.Talks;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** What was said between the house and the guest of an order: letters, and what they wrote to one another. */
@Component
public class Conversation {

    private final Outbox outbox;
    private final Talks talks;

    Conversation(Outbox outbox, Talks talks) {
        this.outbox = outbox;
        this.talks = talks;
    }

    /** All of it, the first one first. */
    public List<SaidRow> of(Order order, Formats f) {
        Map<Instant, List<SaidRow>> rows = new TreeMap<>(Comparator.naturalOrder());
        for (Outbox.Told told : outbox.told(order.id())) {
            Sent letter = told.sent();
            if (toGuest(order, letter)) {
                rows.computeIfAbsent(letter.putAt(), at -> new ArrayList<>()).add(letter(told, f));
            }
        }
        for (Talk talk : talks.of(order)) {
            rows.computeIfAbsent(talk.at(), at -> new ArrayList<>()).add(talk(order, talk, f));
        }
        return rows.values().stream().flatMap(List::stream).toList();
    }

    /** Letters by which hosts write themselves are told as what they wrote. */
    private static boolean toGuest(Order order, Sent letter) {
        boolean own = letter.recipient().equalsIgnoreCase(order.contact().email()) || letter.isText();
        return own && letter.kind().indexOf('.') < 0;
    }

    private static SaidRow letter(Outbox.Told told, Formats f) {
        Sent letter = told.sent();
        String title = letter.subject().isEmpty()
                ? f.text(letter.isText() ? "desk.textMessage" : "desk.letterWaits")
                : letter.subject();
        String state = letter.state();
        return new SaidRow(
                f.moment(letter.putAt()),
                f.text("desk.theHouse"),
                title,
                told.text().strip(),
                state.equals("sent") ? "" : f.text("desk.letter." + state),
                false,
                false);
    }

    private static SaidRow talk(Order order, Talk talk, Formats f) {
        String who = talk.fromGuest()
                ? talk.who().isEmpty()
                        ? order.contact().name()
                        : f.text("desk.fromOther", order.contact().name(), talk.who())
                : talk.who();
        String about = order.lines().size() < 2
                ? ""
                : order.lines().stream()
                        .filter(l -> l.booking().value().equals(talk.booking()))
                        .map(l -> l.sold().title() + ", " + f.dayAndTimes(l.time()))
                        .findFirst()
                        .orElse("");
        return new SaidRow(
                f.moment(talk.at()),
                who,
                about,
                talk.words(),
                talk.files() == 0 ? "" : f.text("desk.filesLeft", talk.files()),
                talk.fromGuest(),
                talk.fromGuest() && !talk.seen());
    }
}
