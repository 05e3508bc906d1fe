package gastfreund.app.endings;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.documents.Documents;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.orders.Outcome;
import gastfreund.app.rounds.Entry;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Whether guests came. Bookings take place by themselves some time after their end; until then the host can say that
 * nobody came, which keeps what a cancellation at the start would have kept ({@code docs/money.md}, "Terms").
 */
@Service
public class Attendance {

    /** How long after its end a booking has taken place. */
    private static final Duration SETTLED_AFTER = Duration.ofHours(36);

    /** How long before its start it can be noted that guests are there. */
    private static final Duration EARLY = Duration.ofHours(12);

    /** Whether guests came. */
    public enum Came {
        NOT_NOTED("", Cause.NOT_YET_HERE),
        CAME("came", Cause.CAME),
        LATE("late", Cause.CAME_LATE);

        private final String code;
        private final Cause cause;

        Came(String code, Cause cause) {
            this.code = code;
            this.cause = cause;
        }

        /** The name in tables and addresses. */
        public String code() {
            return code;
        }

        /** Where it is none, nothing was noted. */
        public static Came of(String code) {
            return Arrays.stream(values())
                    .filter(c -> c.code.equals(code))
                    .findFirst()
                    .orElse(NOT_NOTED);
        }
    }

    private final OrderStore store;
    private final EndingStore ends;
    private final BookingStore bookings;
    private final BookingJournal journal;
    private final Endings endings;
    private final OrderLetters letters;
    private final Documents documents;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Attendance(
            OrderStore store,
            EndingStore ends,
            BookingStore bookings,
            BookingJournal journal,
            Endings endings,
            OrderLetters letters,
            Documents documents,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.ends = ends;
        this.bookings = bookings;
        this.journal = journal;
        this.endings = endings;
        this.letters = letters;
        this.documents = documents;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Whether it can be noted now whether guests came. */
    public boolean canCome(OrderLine line) {
        return (line.status() == BookingStatus.CONFIRMED || line.status() == BookingStatus.COMPLETED)
                && !line.time().startInstant().isAfter(clock.instant().plus(EARLY));
    }

    /** What was noted of whether guests came. */
    public Came came(OrderLine line) {
        return Came.of(line.came());
    }

    /** Notes whether guests came. */
    @Transactional
    public Outcome came(Order order, BookingId booking, Came came, Actor host) {
        Order current = store.byId(order.id()).orElseThrow();
        OrderLine line = current.line(booking).orElseThrow(() -> new IllegalArgumentException("not of this order"));
        if (!canCome(line) || came(line) == came) {
            return Outcome.CHANGED;
        }
        bookings.setCame(booking, came.code());
        journal.note(current, line, host, came.cause.code(), clock.instant());
        return Outcome.DONE;
    }

    /** Whether the host can say now that nobody came. */
    public boolean canBeMissed(OrderLine line) {
        return line.status() == BookingStatus.CONFIRMED
                && came(line) == Came.NOT_NOTED
                && !line.time().startInstant().isAfter(clock.instant());
    }

    /** What comes back to a guest who did not come. */
    public Money backAfterNoShow(OrderLine line) {
        Instant start = line.time().startInstant();
        return line.sold()
                .terms()
                .cancel(line.total(), line.deposit(), line.paid(), start, start, Terms.By.GUEST, line.floor())
                .refund();
    }

    /** Notes that nobody came. */
    @Transactional
    public Outcome missed(Order order, BookingId booking, Actor host) {
        Order current = store.byId(order.id()).orElseThrow();
        OrderLine line = current.line(booking).orElseThrow(() -> new IllegalArgumentException("not of this order"));
        if (!canBeMissed(line)) {
            return Outcome.CHANGED;
        }
        journal.move(current, line, BookingStatus.NO_SHOW, host, "", clock.instant());
        Money back = backAfterNoShow(line);
        documents.creditNoteOfEnd(current, line, back);
        if (back.isPositive()) {
            endings.giveBack(current, line, back, Cause.NOBODY_CAME.code());
            Order after = store.byId(order.id()).orElseThrow();
            letters.missed(after, after.line(booking).orElseThrow(), back);
        }
        return Outcome.DONE;
    }

    /** Confirmed bookings that ended long enough ago: they have taken place. */
    public List<Entry> ended() {
        Instant now = clock.instant();
        return ends.endedBefore(now.minus(SETTLED_AFTER), now).stream()
                .map(b -> new Entry(b.value(), () -> transaction.executeWithoutResult(status -> complete(b))))
                .toList();
    }

    private void complete(BookingId booking) {
        Order order = store.byBooking(booking.value()).orElseThrow();
        OrderLine line = order.line(booking).orElseThrow();
        if (line.status() == BookingStatus.CONFIRMED) {
            journal.move(order, line, BookingStatus.COMPLETED, Actor.HOUSE, "", clock.instant());
        }
    }
}
