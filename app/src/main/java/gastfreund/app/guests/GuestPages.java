package gastfreund.app.guests;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orderdesk.Conversation;
import gastfreund.app.orderdesk.SaidRow;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the page of a guest shows. */
@Component
class GuestPages {

    private static final int MOST_SAID = 30;

    /** How long a line of tags is at most. */
    static final int MOST_TAGS = 2000;

    /** What is told also where there is nothing of it. */
    private static final Set<String> STAY = Set.of("bookings", "documents");

    private final GuestCards cards;
    private final GuestService guests;
    private final Conversation conversation;
    private final PaymentService payments;
    private final CatalogueService catalogues;

    GuestPages(
            GuestCards cards,
            GuestService guests,
            Conversation conversation,
            PaymentService payments,
            CatalogueService catalogues) {
        this.payments = payments;
        this.cards = cards;
        this.guests = guests;
        this.conversation = conversation;
        this.catalogues = catalogues;
    }

    /**
     * A guest.
     *
     * @param goes what goes when they are forgotten, and what stays; empty: the reader may not
     * @param open whether something is still to come, so that they cannot be forgotten
     */
    public record GuestPage(
            List<Note> notes,
            String name,
            String own,
            List<String> reach,
            List<String> tags,
            String note,
            String sums,
            List<Field> fields,
            List<Booked> booked,
            List<Paid> paid,
            List<SaidRow> said,
            List<Other> members,
            List<Other> doubles,
            List<String> goes,
            boolean open) {

        /** The same with no more than some of what was booked. */
        GuestPage first(int most) {
            return new GuestPage(
                    notes,
                    name,
                    own,
                    reach,
                    tags,
                    note,
                    sums,
                    fields,
                    booked.stream().limit(most).toList(),
                    paid,
                    said,
                    members,
                    doubles,
                    goes,
                    open);
        }
    }

    public record Booked(
            String order, String number, String when, String what, String sign, String state, String total) {}

    /**
     * A payment that has come.
     *
     * @param back what went back of it; empty: nothing
     */
    public record Paid(String order, String number, String when, String way, String amount, String back) {}

    /** Another guest, or another address of the same one. */
    public record Other(String number, String name, String reach) {}

    GuestPage page(Order order, List<Note> notes, Host host, Formats f) {
        GuestCard card = cards.of(order);
        List<Order> all = cards.orders(card);
        GuestCardStore.Sums sums = cards.sums(card);
        List<SaidRow> said = all.stream()
                .sorted(Comparator.comparing(Order::number))
                .flatMap(o -> conversation.of(o, f).stream())
                .toList();
        String next = when(sums.next(), f);
        return new GuestPage(
                notes,
                order.contact().name(),
                "/desk/guests/" + order.number(),
                all.stream()
                        .flatMap(o -> Stream.of(o.contact().phone(), o.contact().email()))
                        .filter(s -> !s.isEmpty())
                        .distinct()
                        .toList(),
                card.tags(),
                card.note(),
                f.text(
                        next.isEmpty() ? "guests.sums" : "guests.sumsNext",
                        sums.bookings(),
                        f.money(Money.ofMinor(sums.paid())),
                        next),
                List.of(
                        Field.line("tags", f.text("guests.tags"), MOST_TAGS)
                                .value(String.join(", ", card.tags()))
                                .help(f.text("guests.tagsHelp")),
                        Field.text("note", f.text("guests.note"), GuestCards.MOST_NOTE)
                                .value(card.note())
                                .help(f.text("guests.noteHelp"))),
                all.stream()
                        .flatMap(o -> o.lines().stream().map(l -> booked(o, l, f)))
                        .toList(),
                all.stream()
                        .flatMap(o -> payments.ofOrder(o.id()).stream()
                                .filter(p -> p.captured().isPositive())
                                .map(p -> paid(o, p, f)))
                        .toList(),
                said.subList(Math.max(0, said.size() - MOST_SAID), said.size()),
                card.isMerged() ? members(card, all) : List.of(),
                cards.doubles(order, card).stream().map(GuestPages::other).toList(),
                host.may(Right.GUEST_DATA) ? goes(card, f) : List.of(),
                guests.isOpen(card));
    }

    private static Paid paid(Order order, Payment payment, Formats f) {
        return new Paid(
                "/desk/orders/" + order.number(),
                Long.toString(order.number()),
                f.moment(payment.created()),
                f.text("gateway." + payment.gateway()),
                f.money(payment.captured()),
                payment.refunded().isPositive() ? f.text("guests.wentBack", f.money(payment.refunded())) : "");
    }

    private static Booked booked(Order order, OrderLine line, Formats f) {
        return new Booked(
                "/desk/orders/" + order.number(),
                Long.toString(order.number()),
                f.dayAndTimes(line.time()),
                line.sold().title() + " · " + f.text("offer.people", line.party()),
                line.status().code(),
                f.text("status." + line.status().code()),
                f.money(line.total()));
    }

    private static Other other(Order order) {
        return new Other(
                Long.toString(order.number()),
                order.contact().name(),
                Stream.of(order.contact().email(), order.contact().phone())
                        .filter(s -> !s.isEmpty())
                        .findFirst()
                        .orElse(""));
    }

    /** One order for each address of a guest, and those without one. */
    private static List<Other> members(GuestCard card, List<Order> all) {
        List<Other> members = new ArrayList<>();
        for (String email : card.emails()) {
            all.stream()
                    .filter(o -> o.contact().email().equalsIgnoreCase(email))
                    .findFirst()
                    .map(GuestPages::other)
                    .ifPresent(members::add);
        }
        all.stream()
                .filter(o -> o.contact().email().isEmpty())
                .map(GuestPages::other)
                .forEach(members::add);
        return members;
    }

    private List<String> goes(GuestCard card, Formats f) {
        int years = catalogues.catalogue().keeping().documentYears();
        return guests.goes(card).entrySet().stream()
                .filter(e -> e.getValue() > 0 || STAY.contains(e.getKey()))
                .map(e -> f.text("guests.goes." + e.getKey(), e.getValue(), years))
                .toList();
    }

    static String when(long second, Formats f) {
        HouseZone zone = f.zone();
        return second == 0 ? "" : f.shortDay(zone.dateOf(Instant.ofEpochSecond(second)));
    }
}
