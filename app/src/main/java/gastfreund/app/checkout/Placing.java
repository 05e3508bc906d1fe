package gastfreund.app.checkout;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.documents.Documents;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.openings.Promises;
import gastfreund.app.orders.AnswerStore;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.Elsewhere;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
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
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Places baskets as orders. */
@Service
public class Placing {

    /** How long the places of an order are kept until its guest has confirmed it by mail. */
    private static final Duration TO_PROVE = Duration.ofHours(1);

    private final JournalStore steps;
    private final Promises promises;
    private final BookingStore bookings;
    private final OrderStore store;
    private final AnswerStore answers;
    private final BasketService baskets;
    private final CatalogueService catalogues;
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

    Placing(
            OrderStore store,
            AnswerStore answers,
            BasketService baskets,
            CatalogueService catalogues,
            PaymentService payments,
            OrderPayments paying,
            BookingJournal journal,
            Doorkeeper doorkeeper,
            OrderLetters letters,
            Documents documents,
            PrepaidService prepaid,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock,
            BookingStore bookings,
            Promises promises,
            JournalStore steps) {
        this.steps = steps;
        this.promises = promises;
        this.bookings = bookings;
        this.store = store;
        this.answers = answers;
        this.baskets = baskets;
        this.catalogues = catalogues;
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
                .filter(line -> !isToBeHad(line, now))
                .map(BasketLine::id)
                .toList();
        if (!lost.isEmpty()) {
            return new Placed.NotToBeHad(lost);
        }
        if (!BasketService.withoutAddress(lines, catalogue).isEmpty()) {
            return new Placed.NoAddress();
        }
        Bill bill = baskets.bill(basket, lines);
        if (lines.isEmpty() && bill.goods().isEmpty()) {
            return new Placed.Empty();
        }
        if (!prepaid.soldOut(basket).isEmpty()) {
            return new Placed.SoldOut();
        }
        Elsewhere elsewhere = request.elsewhere();
        boolean otherSum = elsewhere != null && !isAskedFor(elsewhere.amount(), bill);
        if (otherSum || !request.shown().isEmpty() && !request.shown().equals(bill.mark())) {
            return new Placed.Changed();
        }
        String promoCode = bill.quote().promo() == PromoCode.Outcome.APPLIED ? baskets.promoCode(basket) : null;
        if (promoCode != null
                && !catalogue
                        .codeRules(promoCode)
                        .allows(store.usesOf(promoCode, request.contact().email()))) {
            return new Placed.CodeUsed(promoCode);
        }
        if (paying.isTooMany(request.gateway(), request.contact().email(), request.visitor(), lines.size())) {
            return new Placed.TooManyTransfers();
        }
        if (!doorkeeper.spend(request.seal())) {
            return new Placed.Stale();
        }
        boolean proves = !request.known() && isToBeProven(bill, catalogue);
        List<BookingStatus> statuses = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            statuses.add(
                    proves
                            ? BookingStatus.HELD
                            : BookingSteps.whenPlaced(
                                    BasketService.priced(lines.get(i), catalogue)
                                            .offer()
                                            .confirm(),
                                    elsewhere != null || bill.dueNow(i).isZero()));
        }
        boolean waits = statuses.contains(BookingStatus.HELD) || lines.isEmpty();
        OrderStatus status = waits ? OrderStatus.WAITING : OrderStatus.PLACED;
        long id = store.insert(
                tokens.next(),
                basket,
                request.contact().trimmed(),
                request.locale(),
                status,
                bill.total(),
                bill.due(),
                promoCode,
                now);
        answers.replace(request.answers());
        answers.agreed(id, request.agreed(), now);
        for (int i = 0; i < lines.size(); i++) {
            BasketLine line = lines.get(i);
            Line priced = BasketService.priced(line, catalogue);
            bookings.setAddOns(line.id(), priced.addOns());
            store.insertLine(id, i, line.id(), bill.quote().lines().get(i), Sold.of(priced, catalogue.house()));
            bookings.setOrder(line.id(), id);
            if (statuses.get(i) != BookingStatus.HELD) {
                bookings.setStatus(line.id(), statuses.get(i));
            }
            String to = statuses.get(i).code();
            steps.write(
                    new JournalEntry(
                            id, "booking", line.id().value(), "held", to, request.who(), Cause.ORDERED.code(), now),
                    now);
        }
        prepaid.order(basket, id);
        settle(id, lines, bill, catalogue);
        if (elsewhere != null) {
            paidElsewhere(id, lines, bill, elsewhere, now);
        }
        if (proves) {
            store.setProof(id, Order.Proof.WANTED);
            bookings.holdUntil(id, now.plus(TO_PROVE));
        }
        Order order = store.byId(id).orElseThrow();
        if (proves) {
            letters.prove(order);
        }
        if (!waits) {
            documents.receipt(order, order.booked(), List.of());
            letters.placed(order);
        }
        if (elsewhere != null) {
            journal.noteOrder(order, request.who(), Cause.PAID_ELSEWHERE.with(elsewhere.reference()), now);
        }
        if (elsewhere != null || bill.dueNow().isZero()) {
            return new Placed.Done(order, null);
        }
        return new Placed.Done(order, paying.want(order, request.gateway(), bill.dueNow()));
    }

    /** Whether nothing at all is paid with the order, and the house wants to know that its guest can be reached then. */
    private static boolean isToBeProven(Bill bill, Catalogue catalogue) {
        boolean prepaid =
                bill.settlement().total().isPositive() || bill.covers().stream().anyMatch(Objects::nonNull);
        return catalogue.checkout().confirmByMail()
                && bill.due().isZero()
                && bill.goods().isEmpty()
                && !prepaid;
    }

    /** Whether a sum is what is due with the order, or all that is left to pay of it; nothing that lies between. */
    private static boolean isAskedFor(Money sum, Bill bill) {
        return bill.goods().isEmpty()
                && (sum.equals(bill.dueNow()) || sum.equals(bill.dueNow().plus(later(bill))));
    }

    private static Money later(Bill bill) {
        return Money.sum(bill.later().stream().map(Bill.Later::amount).toList());
    }

    /** Notes what was paid elsewhere, line by line: what is due with the order, and the rest where all was paid. */
    private void paidElsewhere(long order, List<BasketLine> lines, Bill bill, Elsewhere elsewhere, Instant now) {
        boolean all = elsewhere.amount().compareTo(bill.dueNow()) > 0;
        for (int i = 0; i < lines.size(); i++) {
            Money rest = bill.quote()
                    .lines()
                    .get(i)
                    .balance()
                    .minus(bill.settlement().later(i));
            Money paid = all ? bill.dueNow(i).plus(rest) : bill.dueNow(i);
            if (paid.isPositive()) {
                payments.recordElsewhere(order, lines.get(i).id(), paid, now);
                store.addPaid(lines.get(i).id(), paid);
            }
        }
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
            for (Settlement.Part part : bill.settlement().parts().stream()
                    .filter(p -> p.voucher() == voucher)
                    .toList()) {
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

    private boolean isToBeHad(BasketLine line, Instant now) {
        return line.isHeld(now) && promises.isToBeHad(line.reserved(), now);
    }
}
