package gastfreund.app.orders;

import gastfreund.app.journal.Actor;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Finds orders with all that belongs to them. */
@Service
public class Orders {

    private final JournalStore written;
    private final OrderStore store;
    private final AnswerStore answers;
    private final BookingJournal journal;
    private final PrepaidService prepaid;
    private final Clock clock;

    Orders(
            OrderStore store,
            AnswerStore answers,
            BookingJournal journal,
            PrepaidService prepaid,
            Clock clock,
            JournalStore written) {
        this.written = written;
        this.store = store;
        this.answers = answers;
        this.journal = journal;
        this.prepaid = prepaid;
        this.clock = clock;
    }

    public Optional<Order> byToken(String token) {
        return store.byToken(token);
    }

    /** @throws NoSuchElementException where there is none */
    public Order byId(long id) {
        return store.byId(id).orElseThrow();
    }

    /** An order as it is by now, which need not be how it was found. */
    public Order now(Order order) {
        return byId(order.id());
    }

    public Optional<Order> byNumber(long number) {
        return store.byNumber(number);
    }

    /** @throws ResponseStatusException 404, where there is no order of the number that an address says */
    public Order byNumberAsked(long number) {
        return byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** The order that a booking belongs to; empty for a hold in a basket. */
    public Optional<Order> byBooking(BookingId booking) {
        return store.byBooking(booking.value());
    }

    /** What a promo code brought. */
    public OrderStore.Brought broughtBy(String code) {
        return store.broughtBy(code);
    }

    /** Whether there is any. */
    public boolean any() {
        return !store.newest(1).isEmpty();
    }

    /** The newest orders, the last one first. */
    public List<Order> newest(int most) {
        return store.newest(most);
    }

    /** The newest orders under a mail address, the last one first. */
    public List<Order> ofGuest(String email, int most) {
        return store.ofGuest(email, most);
    }

    /** What a guest said of themselves when they ordered last; with no more than the address where they never did. */
    public Contact contactOf(String email) {
        return ofGuest(email, 1).stream()
                .findFirst()
                .map(o -> o.contact().again())
                .orElse(Contact.of("", email, ""));
    }

    /** The newest orders of those who came from somewhere, the last one first. */
    public List<Order> newestFrom(String source, int most) {
        return store.newestFrom(source, most);
    }

    /** The steps that an order, its bookings and its payments took, the first one first. */
    public List<JournalEntry> journal(Order order) {
        return written.ofOrder(order.id());
    }

    /** The texts to which its guest agreed, as they were then. */
    public List<AnswerStore.Agreement> agreements(Order order) {
        return answers.agreements(order.id());
    }

    /** What a guest answered for a booking. */
    public List<GivenAnswer> answersOf(BookingId booking) {
        return answers.of(booking);
    }

    /** What the house has of an order, vouchers and passes included. */
    public Money paid(Order order) {
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
    public Map<Long, List<String>> goodsTitles(List<Order> orders) {
        return prepaid.titlesOf(orders.stream().map(Order::id).toList());
    }

    /**
     * Notes in an order's journal what somebody did that moves nothing; joins the transaction in which they did it.
     *
     * @throws NoSuchElementException where there is no such order
     */
    @Transactional
    public void note(long order, Actor who, String what) {
        journal.noteOrder(byId(order), who, what, clock.instant());
    }
}
