package gastfreund.app.api;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.openings.Choice;
import gastfreund.app.orders.Contact;
import gastfreund.app.payments.Elsewhere;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.time.Interval;
import gastfreund.housefile.Node;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What the bodies of programs' requests say. Whatever is wrong in one is noted where it stands. */
final class Wishes {

    private static final int MOST_NUMBER = 1_000_000;
    private static final long MOST_MONEY = 1_000_000_000_000L;

    private Wishes() {}

    /**
     * A wish to hold a place.
     *
     * @param basket to which it is added; null: a new one
     * @param guest tells guests of the program apart; empty: all are one
     * @param price at most; null: whatever it costs
     */
    record Hold(
            String offer,
            Choice.Asked asked,
            long start,
            @Nullable String basket,
            String guest,
            @Nullable Long price) {}

    static Hold hold(Node body) {
        body.object(
                "offer", "start", "length", "units", "party", "addOns", "staff", "place", "basket", "guest", "price");
        List<String> add = new ArrayList<>();
        body.member("addOns")
                .map(Node::members)
                .orElse(List.of())
                .forEach(m -> add.add(m.getKey() + ":" + m.getValue().integer(0, MOST_NUMBER)));
        Choice.Asked asked = new Choice.Asked(
                number(body, "party"),
                text(body, "length"),
                number(body, "units"),
                add,
                text(body, "staff"),
                text(body, "place"),
                null,
                null);
        return new Hold(
                body.required("offer").text(),
                asked,
                start(body),
                text(body, "basket"),
                Optional.ofNullable(text(body, "guest")).orElse(""),
                body.member("price").map(p -> p.number(0, MOST_MONEY)).orElse(null));
    }

    private static long start(Node body) {
        Node start = body.required("start");
        Instant instant = start.instant();
        long minute = Interval.firstMinuteFrom(instant);
        if (!Interval.instantOf(minute).equals(instant)) {
            start.problem("must be at a whole minute");
        }
        return minute;
    }

    private static @Nullable String text(Node body, String name) {
        return body.member(name).map(Node::text).orElse(null);
    }

    private static @Nullable String number(Node body, String name) {
        return body.member(name)
                .map(n -> Integer.toString(n.integer(1, MOST_NUMBER)))
                .orElse(null);
    }

    /** @param person 0: the booking as a whole */
    record Answer(BookingId line, int person, String question, List<String> given) {}

    /**
     * A wish to order a basket.
     *
     * @param language null: that of the request
     * @param agreed the ids of the texts that the guest agreed to
     * @param paid what was paid elsewhere; null: it is paid by a link
     */
    record Order(
            String basket,
            Contact contact,
            @Nullable String language,
            List<Answer> answers,
            List<String> agreed,
            @Nullable Elsewhere paid) {

        boolean agrees(CheckoutRules.Text text) {
            return agreed.contains(text.id());
        }
    }

    static Order order(Node body) {
        body.object("basket", "contact", "language", "answers", "agreed", "paid");
        Node contact = body.required("contact").object("name", "email", "phone", "company", "address", "notes");
        return new Order(
                body.required("basket").text(),
                new Contact(
                        contact.textOrBlank("name"),
                        contact.textOrBlank("email"),
                        contact.textOrBlank("phone"),
                        contact.textOrBlank("company"),
                        contact.textOrBlank("address"),
                        contact.textOrBlank("notes"),
                        false),
                text(body, "language"),
                body.elements("answers").stream().map(Wishes::answer).toList(),
                body.elements("agreed").stream().map(Node::text).toList(),
                body.member("paid").map(Wishes::paid).orElse(null));
    }

    private static Answer answer(Node node) {
        node.object("line", "person", "question", "given");
        return new Answer(
                new BookingId(node.required("line").text()),
                node.integer("person", 0, MOST_NUMBER, 0),
                node.required("question").text(),
                node.elements("given").stream().map(Node::text).toList());
    }

    private static Elsewhere paid(Node node) {
        node.object("amount", "reference");
        return new Elsewhere(node.required("amount").amount(), node.textOrBlank("reference"));
    }

    /**
     * A wish to cancel.
     *
     * @param back what the program was told comes back
     */
    record Cancel(Money back, String why) {}

    static Cancel cancel(Node body) {
        body.object("back", "why");
        return new Cancel(body.required("back").amount(), body.textOrBlank("why"));
    }

    /**
     * A wish to move.
     *
     * @param total what the program was told it costs then
     */
    record Move(long start, Money total) {}

    static Move move(Node body) {
        body.object("start", "total");
        return new Move(start(body), body.required("total").amount());
    }

    /**
     * Money that was taken for a booking.
     *
     * @param before what had been paid of it until then
     */
    record Paid(Elsewhere paid, Money before) {}

    static Paid paidFor(Node body) {
        body.object("amount", "reference", "before");
        return new Paid(
                new Elsewhere(body.required("amount").amount(1), body.textOrBlank("reference")),
                body.required("before").amount());
    }
}
