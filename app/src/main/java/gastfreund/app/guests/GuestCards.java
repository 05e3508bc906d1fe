package gastfreund.app.guests;

import gastfreund.app.orders.GuestWords;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.typed.Written;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who the guests are: whoever books under the same mail address is one, and so are those that a host has made one. Without a mail
 * address each order has a guest of its own, until it is made another's.
 */
@Service
public class GuestCards {

    static final int PAGE = 100;
    static final int MOST_NOTE = 5000;

    private static final int MOST_IN_FILE = 50_000;
    private static final int MOST_TAGS = 20;
    private static final int MOST_LISTED = 200;
    private static final int MOST_TAG = 40;
    private static final int MOST_DOUBLES = 12;

    private final GuestCardStore store;
    private final GuestStore known;
    private final Orders orders;
    private final Clock clock;

    GuestCards(GuestCardStore store, GuestStore known, Orders orders, Clock clock) {
        this.store = store;
        this.known = known;
        this.orders = orders;
        this.clock = clock;
    }

    /** A guest in a list: as they called themselves last. */
    public record Listed(GuestCardStore.Row newest, GuestCard card, int orders, GuestCardStore.Sums sums) {}

    /** The guests that a list shows, and before which order it goes on; 0: it does not. */
    public record Page(List<Listed> guests, long before) {}

    /** The guests whose names, addresses or numbers begin with what was typed, those that ordered last first. */
    Page list(String typed, String tag, long before) {
        List<GuestCardStore.Row> rows = store.newest(GuestWords.match(typed), tag, before, PAGE + 1);
        List<GuestCardStore.Row> shown = rows.subList(0, Math.min(PAGE, rows.size()));
        Set<Long> cards = new HashSet<>();
        List<Listed> guests = new ArrayList<>();
        for (GuestCardStore.Row row : shown) {
            GuestCard card = of(row.id(), row.email());
            if (card.id() == 0 || cards.add(card.id())) {
                List<Long> ids = ordersOf(card);
                guests.add(new Listed(row, card, ids.size(), store.sums(ids, clock.instant())));
            }
        }
        return new Page(
                guests, rows.size() > shown.size() ? shown.get(shown.size() - 1).id() : 0);
    }

    /** All of them, as far as they go into a file. */
    List<Listed> all(String typed, String tag) {
        List<Listed> all = new ArrayList<>();
        Set<Long> cards = new HashSet<>();
        Page page = list(typed, tag, Long.MAX_VALUE);
        while (!page.guests().isEmpty() && all.size() < MOST_IN_FILE) {
            page.guests().stream()
                    .filter(g -> g.card().id() == 0 || cards.add(g.card().id()))
                    .forEach(all::add);
            page = page.before() == 0 ? new Page(List.of(), 0) : list(typed, tag, page.before());
        }
        return all;
    }

    /** The tags there are: from each to the next one, past all guests who have it. */
    List<String> tags() {
        return Stream.iterate(store.tagAfter(""), Optional::isPresent, t -> t.flatMap(store::tagAfter))
                .flatMap(Optional::stream)
                .limit(MOST_LISTED)
                .toList();
    }

    /** The card of an order's guest. */
    GuestCard of(Order order) {
        return of(order.id(), order.contact().email());
    }

    private GuestCard of(long order, String email) {
        String kind = kind(email);
        String value = value(order, email);
        return store.cardOf(kind, value)
                .map(this::card)
                .orElseGet(() -> email.isEmpty()
                        ? new GuestCard(0, List.of(), List.of(order), List.of(), "")
                        : new GuestCard(0, List.of(email), List.of(), List.of(), ""));
    }

    private GuestCard card(long id) {
        return new GuestCard(
                id,
                store.members(id, GuestCardStore.EMAIL),
                store.members(id, GuestCardStore.ORDER).stream()
                        .map(Long::parseLong)
                        .toList(),
                store.tags(id),
                store.note(id));
    }

    private static String kind(String email) {
        return email.isEmpty() ? GuestCardStore.ORDER : GuestCardStore.EMAIL;
    }

    private static String value(long order, String email) {
        return email.isEmpty() ? Long.toString(order) : email;
    }

    /** The ids of all orders of a guest, the first one first. */
    List<Long> ordersOf(GuestCard card) {
        return Stream.concat(card.emails().stream().flatMap(e -> known.ordersOf(e).stream()), card.orders().stream())
                .distinct()
                .sorted()
                .toList();
    }

    /** All orders of a guest, the last one first. */
    List<Order> orders(GuestCard card) {
        return ordersOf(card).stream()
                .map(orders::byId)
                .sorted(Comparator.comparing(Order::number).reversed())
                .toList();
    }

    /** Notes something of a guest. */
    @Transactional
    void keep(Order order, String note, String tags) {
        long card = made(order);
        store.keep(
                card,
                Written.text(note, MOST_NOTE),
                Arrays.stream(tags.split(",", -1))
                        .map(t -> Written.line(t, MOST_TAG))
                        .filter(t -> !t.isEmpty())
                        .distinct()
                        .limit(MOST_TAGS)
                        .toList());
    }

    private long made(Order order) {
        String email = order.contact().email();
        String kind = kind(email);
        String value = value(order.id(), email);
        return store.cardOf(kind, value).orElseGet(() -> store.insert(kind, value));
    }

    /** Guests who may be the same: with the same name or telephone, by their newest order. */
    List<Order> doubles(Order order, GuestCard card) {
        List<Long> own = ordersOf(card);
        Map<String, Order> found = new LinkedHashMap<>();
        String name = phrase("name", order.contact().name());
        String phone = phrase("phone", order.contact().phone());
        Stream.of(name, phone)
                .filter(m -> !m.isEmpty())
                .flatMap(m -> store.found(m, MOST_DOUBLES * 4).stream())
                .filter(r -> !own.contains(r.id()))
                .forEach(r -> {
                    GuestCard other = of(r.id(), r.email());
                    String key = other.id() == 0 ? kind(r.email()) + value(r.id(), r.email()) : "card " + other.id();
                    found.computeIfAbsent(key, k -> orders.byId(r.id()));
                });
        return found.values().stream().limit(MOST_DOUBLES).toList();
    }

    /** A query for the whole of a name or a number in a column of the full-text index; empty where there is nothing to look for. */
    private static String phrase(String column, String text) {
        String plain = text.replace("\"", " ").strip();
        boolean any = plain.codePoints().anyMatch(Character::isLetterOrDigit);
        return any ? column + " : \"" + plain + "\"" : "";
    }

    /** Makes two guests one. */
    @Transactional
    void merge(Order order, Order other) {
        long card = made(order);
        long from = made(other);
        if (card != from) {
            String note = Stream.of(store.note(card), store.note(from))
                    .filter(n -> !n.isEmpty())
                    .reduce((a, b) -> a + "\n" + b)
                    .orElse("");
            store.merge(card, from, Written.text(note, MOST_NOTE));
        }
    }

    /** Makes whoever ordered a guest of their own again. */
    @Transactional
    void leave(Order order) {
        String email = order.contact().email();
        store.leave(kind(email), value(order.id(), email));
    }

    /** Forgets who a guest was; belongs into the transaction in which their orders are forgotten. */
    @Transactional
    void forget(GuestCard card) {
        card.emails().forEach(e -> store.leave(GuestCardStore.EMAIL, e));
        card.orders().forEach(o -> store.leave(GuestCardStore.ORDER, Long.toString(o)));
    }

    /** The same by a mail address alone. */
    @Transactional
    void forget(String email) {
        store.leave(GuestCardStore.EMAIL, email);
    }

    GuestCardStore.Sums sums(GuestCard card) {
        return store.sums(ordersOf(card), clock.instant());
    }
}
