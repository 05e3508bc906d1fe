package gastfreund.app.checkout;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.orders.Quote;
import gastfreund.core.orders.Sold;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in bookings that were made elsewhere, each as an order of its own, paid as far as its offer asks. */
@Service
public class OrderIntake {

    private final BookingStore bookings;
    private final OrderStore store;
    private final CatalogueService catalogues;
    private final PaymentService payments;
    private final Tokens tokens;
    private final JournalStore steps;

    OrderIntake(
            OrderStore store,
            CatalogueService catalogues,
            PaymentService payments,
            Tokens tokens,
            BookingStore bookings,
            JournalStore steps) {
        this.steps = steps;
        this.bookings = bookings;
        this.store = store;
        this.catalogues = catalogues;
        this.payments = payments;
        this.tokens = tokens;
    }

    /** Takes in busy time of one of the staff. */
    @Transactional
    public void take(Busy busy) {
        bookings.insert(busy);
    }

    /** @param placed when it was booked; what was due then was paid */
    @Transactional
    public void take(Booking booking, Contact contact, Instant placed) {
        Line line = line(booking, placed);
        Quote quote = quote(line, placed);
        pay(insert(booking, line, quote, contact, placed), booking, quote.dueNow(), placed);
    }

    /**
     * The same of one that is over, and paid.
     *
     * @param source from where its guest came
     */
    @Transactional
    public void takeOver(Booking booking, Contact contact, Instant placed, String source) {
        Line line = line(booking, placed);
        Quote quote = quote(line, placed);
        long order = insert(booking, line, quote, contact, placed);
        store.setSource(order, source);
        pay(order, booking, quote.total(), placed);
    }

    /**
     * A booking that another program had.
     *
     * @param line as the house would sell it
     * @param total what it costs; null: what the house asks
     * @param paid what was paid of it there
     */
    public record Brought(
            Booking booking, Line line, Contact contact, Locale language, @Nullable Money total, Money paid) {}

    /** Takes in a booking of another program, at the price that it had there; nothing is told to its guest. The order. */
    @Transactional
    public long bringIn(Brought brought, Instant now, Actor who, String from) {
        Line line = brought.line();
        Line.Price price = line.price();
        Money total = brought.total() == null ? price.amount() : brought.total();
        boolean lower = total.compareTo(price.amount()) <= 0;
        Line.Price asked = lower ? price : new Line.Price(total, total, Money.ZERO);
        Money balance = total.minus(brought.paid());
        Quote.QuotedLine quoted = new Quote.QuotedLine(
                asked,
                asked.amount(),
                asked.amount().minus(total),
                total,
                Money.ZERO,
                brought.paid(),
                balance,
                balance.isZero() ? null : line.zone().dateOf(line.start()));
        Booking booking = brought.booking();
        bookings.insert(booking, line.length(), line.units(), now);
        long order = store.insert(
                tokens.next(),
                null,
                brought.contact(),
                brought.language(),
                OrderStatus.PLACED,
                total,
                brought.paid(),
                null,
                now);
        store.insertLine(
                order,
                0,
                booking.id(),
                quoted,
                Sold.of(line, catalogues.catalogue().house()));
        bookings.setOrder(booking.id(), order);
        pay(order, booking, brought.paid(), now);
        steps.write(
                new JournalEntry(
                        order,
                        "booking",
                        booking.id().value(),
                        BookingStatus.HELD.code(),
                        booking.status().code(),
                        who,
                        Cause.BROUGHT_IN.with(from),
                        now),
                now);
        return order;
    }

    /** Takes in a guest of another program who has no booking: as an order with nothing in it. */
    @Transactional
    public long bringIn(Contact contact, Locale language, Instant now, Actor who, String from) {
        long order = store.insert(
                tokens.next(), null, contact, language, OrderStatus.PLACED, Money.ZERO, Money.ZERO, null, now);
        Order placed = store.byId(order).orElseThrow();
        String number = Long.toString(placed.number());
        String status = placed.status().code();
        steps.write(
                new JournalEntry(order, "order", number, status, status, who, Cause.BROUGHT_IN.with(from), now), now);
        return order;
    }

    private void pay(long order, Booking booking, Money amount, Instant at) {
        if (amount.isPositive()) {
            payments.recordElsewhere(order, booking.id(), amount, at);
            store.addPaid(booking.id(), amount);
        }
    }

    private Line line(Booking booking, Instant placed) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.offer(booking.offer());
        Length length = offer.lengths().stream()
                .filter(l -> l.minutes().equals(booking.minutes()))
                .findFirst()
                .orElseGet(() -> offer.lengths().get(0));
        return new Line(
                offer,
                length,
                length.minUnits(),
                booking.party(),
                booking.addOns(),
                booking.start(),
                booking.staff(),
                booking.place(),
                placed,
                catalogue.zone());
    }

    private static Quote quote(Line line, Instant placed) {
        return Quote.of(List.of(new Quote.Asked(line, Quote.Pay.NOW)), placed, line.zone());
    }

    private long insert(Booking booking, Line line, Quote quote, Contact contact, Instant placed) {
        bookings.insert(booking, line.length(), placed);
        long order = store.insert(
                tokens.next(),
                null,
                contact,
                Locale.ENGLISH,
                OrderStatus.PLACED,
                quote.total(),
                quote.dueNow(),
                null,
                placed);
        store.insertLine(
                order,
                0,
                booking.id(),
                quote.lines().get(0),
                Sold.of(line, catalogues.catalogue().house()));
        bookings.setOrder(booking.id(), order);
        return order;
    }
}
