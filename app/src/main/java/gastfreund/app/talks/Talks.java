package gastfreund.app.talks;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.rounds.Attention;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said with guests about their bookings, and what the house notes of them for itself. */
@Service
public class Talks implements Attention {

    /** How long a message may be, in characters. */
    public static final int MOST_WORDS = 5000;

    private static final int MOST_IN_A_DAY = 30;
    private static final int MOST_UNSEEN = 200;
    private static final int KEY_LENGTH = 16;
    private static final Duration DAY = Duration.ofDays(1);

    private final TalkStore store;
    private final Orders orders;
    private final Outbox outbox;
    private final HostService hosts;
    private final Tokens tokens;
    private final Clock clock;

    Talks(TalkStore store, Orders orders, Outbox outbox, HostService hosts, Tokens tokens, Clock clock) {
        this.store = store;
        this.orders = orders;
        this.outbox = outbox;
        this.hosts = hosts;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** What was said with the guest of an order, the first one first. */
    public List<Talk> of(Order order) {
        return store.ofOrder(order.id());
    }

    /** What guests said that nobody at the desk has seen, the first one first. */
    public List<Talk> unseen() {
        return store.unseen(MOST_UNSEEN);
    }

    @Override
    public int waiting() {
        return store.countUnseen();
    }

    @Override
    public boolean isAnswer() {
        return true;
    }

    /** Whether the house can write to the guest of an order: whoever was booked at the desk may have no address. */
    public boolean canWrite(Order order) {
        return !order.contact().email().isBlank();
    }

    /**
     * The house writes to a guest, and has seen what they said before.
     *
     * @param booking what it is about; null: the order as a whole
     * @return false where nothing is said, or nobody can be written to
     */
    @Transactional
    public boolean toGuest(Order order, @Nullable BookingId booking, String words, Host host) {
        String said = Written.text(words, MOST_WORDS);
        Order now = orders.now(order);
        if (said.isEmpty() || !canWrite(now)) {
            return false;
        }
        String thread = thread(now, booking);
        store.insert(thread, clock.instant(), false, host.name(), said, 0, null, clock.instant());
        store.seen(now.id(), clock.instant());
        String facts = new TalkFacts(
                        now.number(), now.token(), now.contact().name(), about(booking), thread, said, host.name())
                .json();
        outbox.putForGuest(
                new Letter(now.id(), TalkLetters.TO_GUEST, now.contact().email(), now.locale(), facts));
        return true;
    }

    /**
     * A guest writes on the page of their order.
     *
     * @return false where nothing is said, or too much was said within a day
     */
    @Transactional
    public boolean fromPage(Order order, @Nullable BookingId booking, String words) {
        String said = Written.text(words, MOST_WORDS);
        if (said.isEmpty() || isTooMuch(order.id())) {
            return false;
        }
        String thread = thread(order, booking);
        store.insert(thread, clock.instant(), true, "", said, 0, null, null);
        tell(order, about(booking), said);
        return true;
    }

    /** What a mail of a guest says. */
    record Answer(String from, String words, int files, String message, boolean automatic) {}

    /**
     * A guest's answer came by mail, at an address that was made for it.
     *
     * @return false where there is no such address
     */
    @Transactional
    boolean fromMail(String key, Answer answer) {
        Optional<TalkStore.Thread> thread = store.thread(key.toLowerCase(Locale.ROOT));
        if (thread.isEmpty()) {
            return false;
        }
        Order order = orders.byId(thread.get().order());
        String said = Written.text(answer.words(), MOST_WORDS);
        if ((said.isEmpty() && answer.files() == 0) || isTooMuch(order.id())) {
            return true;
        }
        String from = answer.from().equalsIgnoreCase(order.contact().email()) ? "" : answer.from();
        Instant seen = answer.automatic() ? clock.instant() : null;
        boolean taken = store.insert(
                thread.get().key(), clock.instant(), true, from, said, answer.files(), answer.message(), seen);
        if (taken && !answer.automatic()) {
            tell(order, thread.get().booking(), said);
        }
        return true;
    }

    private boolean isTooMuch(long order) {
        return store.countFromGuest(order, clock.instant().minus(DAY)) >= MOST_IN_A_DAY;
    }

    /** Tells those in charge what a guest said. */
    private void tell(Order order, String booking, String said) {
        TalkFacts facts = new TalkFacts(order.number(), "", order.contact().name(), booking, "", said, "");
        for (Host host : hosts.inCharge()) {
            outbox.put(new Letter(order.id(), TalkLetters.TO_HOST, host.email(), host.language(), facts.json()));
        }
    }

    /** Somebody at the desk has seen what the guest of an order said. */
    @Transactional
    public void seen(Order order) {
        store.seen(order.id(), clock.instant());
    }

    /** What the house noted of a booking for itself. */
    public Optional<HouseNote> note(BookingId booking) {
        return store.note(booking);
    }

    /** @param words empty: the note goes */
    @Transactional
    public void note(BookingId booking, String words, Host host) {
        store.note(booking, Written.text(words, MOST_WORDS), host.name(), clock.instant());
    }

    /** Removes all that was said and noted about an order. */
    @Transactional
    public void forget(long order) {
        store.forget(order);
    }

    private String thread(Order order, @Nullable BookingId booking) {
        return store.keyOf(
                order.id(), about(booking), tokens.letters(KEY_LENGTH).toLowerCase(Locale.ROOT));
    }

    private static String about(@Nullable BookingId booking) {
        return booking == null ? "" : booking.value();
    }
}
