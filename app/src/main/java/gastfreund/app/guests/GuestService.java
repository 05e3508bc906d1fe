package gastfreund.app.guests;

import gastfreund.app.accounts.Accounts;
import gastfreund.app.accounts.Passkeys;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.companions.Companions;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.orders.Orders;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.talks.Talks;
import gastfreund.app.wishes.Wishes;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Takes out what the house has of a guest, and forgets them. */
@Service
public class GuestService {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final BookingStore bookings;
    private final GuestStore store;
    private final GuestFileStore taken;
    private final Orders books;
    private final Talks talks;
    private final GuestCards cards;
    private final Wishes wishes;
    private final Companions companions;
    private final Accounts accounts;
    private final Passkeys passkeys;
    private final Tokens tokens;
    private final Clock clock;

    GuestService(
            GuestStore store,
            GuestFileStore taken,
            Orders books,
            Tokens tokens,
            Clock clock,
            BookingStore bookings,
            Talks talks,
            GuestCards cards,
            Wishes wishes,
            Companions companions,
            Accounts accounts,
            Passkeys passkeys) {
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.companions = companions;
        this.wishes = wishes;
        this.cards = cards;
        this.talks = talks;
        this.bookings = bookings;
        this.store = store;
        this.taken = taken;
        this.books = books;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** How many orders there are under a mail address. */
    public int countOrders(String email) {
        return store.ordersOf(email).size();
    }

    /** All that the house has of a guest, as JSON; instants are seconds since the epoch, amounts minor units. */
    @Transactional
    public String takeOut(String email, Actor host) {
        return takeOut(new GuestCard(0, List.of(email), List.of(), List.of(), ""), host);
    }

    /** The same with all that is known of them. */
    @Transactional
    String takeOut(GuestCard card, Actor host) {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", "gastfreund-guest/1")
                .put("guest", String.join(", ", card.emails()))
                .put("made", clock.instant().toString());
        card.tags().forEach(file.withArray("tags")::add);
        file.put("noteOfTheHouse", card.note());
        card.emails().stream().flatMap(e -> accounts.byEmail(e).stream()).forEach(account -> {
            ObjectNode one = file.withArray("accounts").addObject();
            one.put("email", account.email())
                    .put("made", account.made().toString())
                    .put("password", account.hasPassword());
            passkeys.of(account).forEach(p -> one.withArray("passkeys").add(p.label()));
        });
        card.emails().forEach(e -> taken.wishesOf(e)
                .forEach(w -> file.withArray("wishes").add(JSON.<JsonNode>valueToTree(w))));
        ArrayNode orders = file.putArray("orders");
        for (long id : cards.ordersOf(card)) {
            orders.add(JSON.<JsonNode>valueToTree(taken.of(id)));
            books.note(id, host, Cause.DATA_TAKEN_OUT.code());
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    /**
     * Forgets a guest: what they said of themselves goes, bookings stay as numbers, documents as long as the law asks.
     *
     * @return false where something is still to come, or the house has nothing of them
     */
    @Transactional
    public boolean forget(String email, Actor who) {
        if (!forget(store.ordersOf(email), who)) {
            return false;
        }
        cards.forget(email);
        wishes.forget(email);
        accounts.delete(email);
        return true;
    }

    /** The same with all that is known of a guest. */
    @Transactional
    boolean forget(GuestCard card, Actor who) {
        if (!forget(cards.ordersOf(card), who)) {
            return false;
        }
        card.emails().forEach(wishes::forget);
        card.emails().forEach(accounts::delete);
        cards.forget(card);
        return true;
    }

    private boolean forget(List<Long> orders, Actor who) {
        Instant now = clock.instant();
        if (orders.isEmpty() || store.isOpen(orders, now)) {
            return false;
        }
        orders.forEach(order -> {
            store.forget(order, tokens.next(), now);
            bookings.forgetVisitors(order);
            talks.forget(order);
            companions.forget(order);
            books.note(order, who, Cause.DATA_FORGOTTEN.code());
        });
        return true;
    }

    /** How much of each kind goes when a guest is forgotten, and what stays. */
    Map<String, Integer> goes(GuestCard card) {
        return store.goes(cards.ordersOf(card));
    }

    /** Whether something booked under a mail address is still to come. */
    public boolean isOpen(String email) {
        return store.isOpen(store.ordersOf(email), clock.instant());
    }

    /** Whether something of a guest is still to come. */
    boolean isOpen(GuestCard card) {
        return store.isOpen(cards.ordersOf(card), clock.instant());
    }
}
