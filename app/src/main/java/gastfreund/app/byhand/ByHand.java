package gastfreund.app.byhand;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.DeskHolds;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.documents.Documents;
import gastfreund.app.endings.Endings;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.paying.Balances;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.till.Hand;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Series;
import gastfreund.core.orders.Quote;
import gastfreund.core.orders.Sold;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Books for guests by hand: at the price that is computed or another, paid now, later, or by a link in a mail. */
@Service
public class ByHand {

    /** How a booking by hand is paid. */
    public enum Way {
        /** Nothing now; it is paid when they come. */
        LATER,
        /** It was paid in cash. */
        CASH,
        /** It was paid at the card terminal. */
        TERMINAL,
        /** The guest gets a link by mail. */
        LINK;

        /** The name in forms. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** With what it was paid on the spot; empty where it was not. */
        Optional<Hand> hand() {
            return Hand.find(code());
        }

        static Way of(@Nullable String code) {
            return Arrays.stream(values())
                    .filter(w -> w.code().equals(code))
                    .findFirst()
                    .orElse(LATER);
        }
    }

    /**
     * A time that was chosen.
     *
     * @param price as it is computed, whether something stands against it or not
     */
    public record Chosen(Interval time, Answer.Judged option, Money price) {}

    /**
     * A wish to book.
     *
     * @param basket in which the place is held
     * @param repeat the same time again; null: once
     * @param price of each date, another than is computed; null: that
     * @param why why it is another
     * @param tell whether the guest gets a confirmation
     */
    public record Wish(
            String basket,
            Contact contact,
            String source,
            @Nullable Repeat repeat,
            @Nullable Money price,
            String why,
            Way way,
            boolean tell,
            Locale language,
            Actor who) {}

    /**
     * The same time again.
     *
     * @param times how many dates in all
     * @param every how many weeks lie between two
     * @param instead on some dates another start, in minutes since the epoch
     */
    public record Repeat(Choice choice, long start, int times, int every, Map<LocalDate, Long> instead) {}

    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final DeskHolds holds;
    private final BookingStore bookings;
    private final OrderStore store;
    private final JournalStore steps;
    private final Documents documents;
    private final OrderLetters letters;
    private final Endings endings;
    private final Balances balances;
    private final Tokens tokens;
    private final Clock clock;

    ByHand(
            CatalogueService catalogues,
            OpeningsService openings,
            DeskHolds holds,
            BookingStore bookings,
            OrderStore store,
            JournalStore steps,
            Documents documents,
            OrderLetters letters,
            Endings endings,
            Balances balances,
            Tokens tokens,
            Clock clock) {
        this.catalogues = catalogues;
        this.openings = openings;
        this.holds = holds;
        this.bookings = bookings;
        this.store = store;
        this.steps = steps;
        this.documents = documents;
        this.letters = letters;
        this.endings = endings;
        this.balances = balances;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** Every time of a day at which it could be, with what stands against it; what is held in the basket counts as free. */
    public List<Answer.Entry> times(Choice choice, LocalDate day, String basket) {
        return openings.explain(catalogues.catalogue().house(), query(choice, day, basket))
                .entries();
    }

    private Query query(Choice choice, LocalDate day, String basket) {
        Query query = choice.query(day, day, clock.instant()).askedBy(Audience.DESK);
        return holds.held(basket).map(line -> query.without(Set.of(line.id()))).orElse(query);
    }

    /** Who serves at a start, and what it costs; empty where nothing can be there at all. */
    public Optional<Chosen> chosen(
            Choice choice, List<Answer.Entry> times, long start, boolean inSpite, String basket) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate day = catalogue.zone().dateOf(start);
        return times.stream()
                .filter(e -> e.time().start() == start && (e.isOpen() || inSpite))
                .findFirst()
                .map(e -> {
                    Answer.Judged option = e.isOpen()
                            ? openings.assigned(catalogue.house(), query(choice, day, basket), e)
                            : e.options().get(0);
                    return new Chosen(
                            e.time(),
                            option,
                            choice.line(start, option, clock.instant(), catalogue.zone())
                                    .price()
                                    .amount());
                });
    }

    /** The dates of a series, each as far as it is free; what is held in the basket counts as free. */
    public Series.Found series(Repeat repeat, String basket) {
        LocalDate day = catalogues.catalogue().zone().dateOf(repeat.start());
        return openings.series(new Series.Wish(
                query(repeat.choice(), day, basket), repeat.start(), repeat.times(), repeat.every(), repeat.instead()));
    }

    /** Holds what is chosen while the rest is written. */
    public void hold(Choice choice, Chosen chosen, String basket, String who) {
        Reserved reserved = choice.reserved(new BookingId(tokens.next()), chosen.time(), chosen.option());
        holds.hold(basket, reserved, who);
    }

    /** Until when a place is held; empty where it is not. */
    public Optional<Instant> heldUntil(String basket) {
        return holds.held(basket).map(BasketLine::expires);
    }

    /** Whether the place that is held is that of a choice. */
    public boolean holds(String basket, Choice choice, Chosen chosen) {
        return holds.held(basket).map(BasketLine::reserved).stream()
                .anyMatch(r -> r.offer().equals(choice.offer().id())
                        && r.time().equals(chosen.time())
                        && r.length().equals(choice.length().id())
                        && r.units() == choice.units()
                        && r.party() == choice.party()
                        && r.addOns().equals(choice.addOns())
                        && (choice.staff() == null || r.staff().contains(choice.staff()))
                        && Objects.equals(r.place(), chosen.option().place()));
    }

    /** The order that was made of what a basket held; empty: none yet. */
    public Optional<Order> madeOf(String basket) {
        return store.byBasket(basket);
    }

    /** Gives back what is held. */
    public void release(String basket) {
        holds.release(basket);
    }

    /**
     * Makes what is held an order that stands.
     *
     * @return empty where it is no longer held
     */
    @Transactional
    public Optional<Order> book(Wish wish) {
        Optional<BasketLine> held = holds.held(wish.basket());
        if (held.isEmpty()) {
            return Optional.empty();
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Catalogue catalogue = catalogues.catalogue();
        if (wish.repeat() != null) {
            holdRest(wish.repeat(), wish.basket(), wish.who().name());
        }
        List<Booked> lines = holds.all(wish.basket()).stream()
                .map(l -> {
                    Line line = BasketService.priced(l, catalogue);
                    return new Booked(l.id(), line, quoted(line, wish));
                })
                .toList();
        holds.cameBy(wish.basket(), wish.source());
        long id = store.insert(
                tokens.next(),
                wish.basket(),
                wish.contact(),
                wish.language(),
                OrderStatus.PLACED,
                Money.sum(lines.stream().map(b -> b.quoted().total()).toList()),
                Money.sum(lines.stream().map(b -> b.quoted().dueNow()).toList()),
                null,
                now);
        for (int i = 0; i < lines.size(); i++) {
            insert(id, i, lines.get(i), wish, now);
        }
        Order order = store.byId(id).orElseThrow();
        documents.receipt(order, order.booked(), List.of());
        if (wish.tell()) {
            letters.placed(order);
        }
        for (Booked line : lines) {
            pay(order, line, wish);
        }
        if (wish.way() == Way.LINK) {
            balances.askNow(lines.get(0).booking());
        }
        return store.byId(id);
    }

    /**
     * A booking that is made.
     *
     * @param quoted what it costs
     */
    private record Booked(BookingId booking, Line line, Quote.QuotedLine quoted) {}

    /** Holds the later dates of a series that are free. */
    private void holdRest(Repeat repeat, String basket, String who) {
        for (Series.Date date : series(repeat, basket).dates()) {
            boolean later = date.time() != null && date.time().start() != repeat.start();
            if (later && date.option() != null) {
                holds.holdMore(
                        basket,
                        repeat.choice()
                                .reserved(
                                        new BookingId(tokens.next()),
                                        Objects.requireNonNull(date.time()),
                                        date.option()),
                        who);
            }
        }
    }

    private void insert(long order, int number, Booked made, Wish wish, Instant now) {
        store.insertLine(
                order,
                number,
                made.booking(),
                made.quoted(),
                Sold.of(made.line(), catalogues.catalogue().house()));
        bookings.setOrder(made.booking(), order);
        bookings.setStatus(made.booking(), BookingStatus.CONFIRMED);
        steps.write(
                new JournalEntry(
                        order,
                        "booking",
                        made.booking().value(),
                        BookingStatus.HELD.code(),
                        BookingStatus.CONFIRMED.code(),
                        wish.who(),
                        Cause.BY_HAND.with(wish.why()),
                        now),
                now);
    }

    private void pay(Order order, Booked made, Wish wish) {
        if (made.quoted().total().isPositive()) {
            wish.way()
                    .hand()
                    .ifPresent(hand -> endings.paidOnTheSpot(
                            order, made.booking(), hand, made.quoted().total(), Money.ZERO, wish.who()));
        }
    }

    /** A lower price is a discount, so that a later move keeps it; a higher one is what it costs. */
    private Quote.QuotedLine quoted(Line line, Wish wish) {
        Line.Price price = line.price();
        Money total = wish.price() == null ? price.amount() : wish.price();
        boolean lower = total.compareTo(price.amount()) < 0;
        Line.Price asked = lower ? price : new Line.Price(total, total, Money.ZERO);
        Money discount = lower ? price.amount().minus(total) : Money.ZERO;
        boolean now = wish.way() != Way.LATER;
        Money balance = now ? Money.ZERO : total;
        LocalDate due = catalogues.catalogue().zone().dateOf(line.start());
        return new Quote.QuotedLine(
                wish.price() == null ? price : asked,
                asked.amount(),
                discount,
                total,
                Money.ZERO,
                now ? total : Money.ZERO,
                balance,
                balance.isZero() ? null : due);
    }
}
