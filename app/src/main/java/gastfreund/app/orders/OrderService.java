package gastfreund.app.orders;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.door.Doorkeeper;
import gastfreund.app.house.Actor;
import gastfreund.app.house.Tokens;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import gastfreund.core.openings.BookingStatus;
import gastfreund.core.orders.BookingSteps;
import gastfreund.core.orders.Pass;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.orders.Settlement;
import gastfreund.core.orders.Sold;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Places orders and leads guests to the gateway. */
@Service
public class OrderService {

    /** How long the places of an order are kept until its guest has confirmed it by mail. */
    private static final Duration TO_PROVE = Duration.ofHours(1);

    private final OrderStore store;
    private final AnswerStore answers;
    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final Places places;
    private final PaymentService payments;
    private final OrderPayments paying;
    private final BookingJournal journal;
    private final Doorkeeper doorkeeper;
    private final OrderLetters letters;
    private final Documents documents;
    private final PrepaidService prepaid;
    private final Tokens tokens;
    private final TransactionTemplate transaction;
    private final Clock clock;

    OrderService(
            OrderStore store,
            AnswerStore answers,
            BasketService baskets,
            CatalogueService catalogues,
            Places places,
            PaymentService payments,
            OrderPayments paying,
            BookingJournal journal,
            Doorkeeper doorkeeper,
            OrderLetters letters,
            Documents documents,
            PrepaidService prepaid,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.answers = answers;
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.places = places;
        this.payments = payments;
        this.paying = paying;
        this.journal = journal;
        this.doorkeeper = doorkeeper;
        this.letters = letters;
        this.documents = documents;
        this.prepaid = prepaid;
        this.tokens = tokens;
        this.transaction = transaction;
        this.clock = clock;
    }

    public Optional<Order> byToken(String token) {
        return store.byToken(token);
    }

    /** @throws java.util.NoSuchElementException where there is none */
    Order byId(long id) {
        return store.byId(id).orElseThrow();
    }

    public Optional<Order> byNumber(long number) {
        return store.byNumber(number);
    }

    /** The order that a booking belongs to; empty for a hold in a basket. */
    public Optional<Order> byBooking(BookingId booking) {
        return store.byBooking(booking.value());
    }

    public List<Order> newest(int most) {
        return store.newest(most);
    }

    public List<JournalEntry> journal(Order order) {
        return store.journal(order.id());
    }

    /**
     * Places a basket as an order, all of it or nothing. Every line is looked at again inside the transaction, which has
     * the write lock from its beginning ({@code docs/money.md}, "Orders, payments, holds").
     */
    @Transactional
    public Placed place(String basket, OrderRequest request) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Catalogue catalogue = catalogues.catalogue();
        List<BasketLine> lines = baskets.lines(basket);
        List<BookingId> lost = lines.stream()
                .filter(line -> !isToBeHad(line, catalogue, now))
                .map(BasketLine::id)
                .toList();
        if (!lost.isEmpty()) {
            return new Placed.NotToBeHad(lost);
        }
        Bill bill = baskets.bill(basket, lines);
        if (lines.isEmpty() && bill.goods().isEmpty()) {
            return new Placed.Empty();
        }
        if (!request.shown().isEmpty() && !request.shown().equals(bill.mark())) {
            return new Placed.Changed();
        }
        if (paying.isTooMany(request.gateway(), request.contact().email(), request.visitor(), lines.size())) {
            return new Placed.TooManyTransfers();
        }
        if (!doorkeeper.spend(request.seal())) {
            return new Placed.Stale();
        }
        boolean proves = isToBeProven(bill, catalogue);
        List<BookingStatus> statuses = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            statuses.add(proves ? BookingStatus.HELD : BookingSteps.whenPlaced(catalogue.offer(lines.get(i).offer()).confirm(), bill.dueNow(i).isZero()));
        }
        boolean waits = statuses.contains(BookingStatus.HELD) || lines.isEmpty();
        OrderStatus status = waits ? OrderStatus.WAITING : OrderStatus.PLACED;
        String promoCode = bill.quote().promo() == PromoCode.Outcome.APPLIED ? baskets.promoCode(basket) : null;
        long id = store.insert(
                tokens.next(), basket, request.contact().trimmed(), request.locale(), status, bill.total(), bill.due(),
                promoCode, now);
        answers.replace(request.answers());
        answers.agreed(id, request.agreed(), now);
        for (int i = 0; i < lines.size(); i++) {
            BasketLine line = lines.get(i);
            store.insertLine(id, i, line.id(), bill.quote().lines().get(i), Sold.of(BasketService.priced(line, catalogue), catalogue.house()));
            if (statuses.get(i) != BookingStatus.HELD) {
                store.moveBooking(line.id(), statuses.get(i));
            }
            String to = statuses.get(i).code();
            store.write(new JournalEntry(id, "booking", line.id().value(), "held", to, Actor.GUEST, "ordered", now), now);
        }
        prepaid.order(basket, id);
        settle(id, lines, bill, catalogue);
        if (proves) {
            store.setProof(id, Order.Proof.WANTED);
            store.holdUntil(id, now.plus(TO_PROVE));
        }
        Order order = store.byId(id).orElseThrow();
        if (proves) {
            letters.prove(order);
        }
        if (!waits) {
            documents.receipt(order, order.booked(), List.of());
            letters.placed(order);
        }
        if (bill.dueNow().isZero()) {
            return new Placed.Done(order, null);
        }
        return new Placed.Done(order, paying.want(order, request.gateway(), bill.dueNow()));
    }

    /** Whether nothing at all is paid with the order, and the house wants to know that its guest can be reached then. */
    private static boolean isToBeProven(Bill bill, Catalogue catalogue) {
        boolean prepaid = bill.settlement().total().isPositive() || bill.covers().stream().anyMatch(Objects::nonNull);
        return catalogue.checkout().confirmByMail() && bill.due().isZero() && bill.goods().isEmpty() && !prepaid;
    }

    /** Takes from vouchers and passes what they pay of an order. */
    private void settle(long order, List<BasketLine> lines, Bill bill, Catalogue catalogue) {
        for (int i = 0; i < lines.size(); i++) {
            Prepaid pass = bill.covers().get(i);
            if (pass != null) {
                int visits = Pass.visitsOf(BasketService.priced(lines.get(i), catalogue));
                prepaid.take(pass, order, lines.get(i).id(), visits);
            }
        }
        for (int v = 0; v < bill.vouchers().size(); v++) {
            int voucher = v;
            Prepaid one = bill.vouchers().get(v);
            Map<BookingId, Money> now = new LinkedHashMap<>();
            for (Settlement.Part part : bill.settlement().parts().stream().filter(p -> p.voucher() == voucher).toList()) {
                BookingId booking = lines.get(part.line()).id();
                now.put(booking, part.now());
                store.addPaid(booking, part.now().plus(part.later()));
                payments.recordVoucher(order, booking, one.id(), Map.of(booking, part.later()));
            }
            payments.recordVoucher(order, null, one.id(), now);
            if (bill.settlement().of(v).isPositive()) {
                prepaid.take(one, order, null, bill.settlement().of(v).minor());
            }
        }
    }

    private boolean isToBeHad(BasketLine line, Catalogue catalogue, Instant now) {
        return line.isHeld(now)
                && places.free(
                        catalogue.house(),
                        BasketService.query(line, catalogue, now).without(Set.of(line.id())),
                        line.time().start(),
                        line.staff());
    }

    /** What a guest answered for a booking. */
    public List<GivenAnswer> answersOf(BookingId booking) {
        return answers.of(booking);
    }

    /** What the house has of an order, vouchers and passes included. */
    Money paid(Order order) {
        return order.paid()
                .plus(Money.sum(goods(order).stream()
                        .filter(g -> g.isIssued() && !g.returned())
                        .map(Goods::price)
                        .toList()));
    }

    /** The vouchers and passes that an order buys. */
    public List<Goods> goods(Order order) {
        return prepaid.goodsOfOrder(order.id());
    }

    /** The titles of the vouchers and passes that orders buy, by the orders' ids. */
    Map<Long, List<String>> goodsTitles(List<Order> orders) {
        return prepaid.titlesOf(orders.stream().map(Order::id).toList());
    }

    /** The guest's own change of how they can be reached, and of what they answered. */
    @Transactional
    public void changeDetails(Order order, Contact contact, List<GivenAnswer> given) {
        Contact trimmed = contact.trimmed();
        store.changeContact(order.id(), trimmed);
        if (!trimmed.email().equalsIgnoreCase(order.contact().email())) {
            letters.addressChanged(store.byId(order.id()).orElseThrow(), order.contact().email());
        }
        answers.replace(given);
        journal.noteOrder(order, Actor.GUEST, "details", clock.instant());
    }

    /**
     * Notes in an order's journal what somebody did that moves nothing; joins the transaction in which they did it.
     *
     * @throws java.util.NoSuchElementException where there is no such order
     */
    @Transactional
    public void note(long order, Actor who, String what) {
        journal.noteOrder(byId(order), who, what, clock.instant());
    }
}
