package gastfreund.app.payments;

import gastfreund.app.rounds.Attention;
import gastfreund.app.rounds.Backlog;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps payments and what is to be done about them. */
@Repository
class PaymentStore implements Attention {

    private final JdbcClient jdbc;

    PaymentStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(
            String id,
            long order,
            @Nullable BookingId booking,
            String gateway,
            Money amount,
            boolean later,
            Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO payments (id, order_id, booking, gateway, amount, capture, state, created_at)
                        VALUES (?, ?, ?, ?, ?, ?, 'created', ?)
                        """)
                .params(Arrays.asList(
                        id,
                        order,
                        booking == null ? null : booking.value(),
                        gateway,
                        amount.minor(),
                        later ? "later" : "now",
                        now.getEpochSecond()))
                .update();
    }

    void madeWith(String id, String voucher) {
        jdbc.sql("UPDATE payments SET prepaid = ? WHERE id = ?")
                .params(voucher, id)
                .update();
    }

    void answered(String id, Gateway.Told told) {
        jdbc.sql("UPDATE payments SET reference = ?, pay_url = ?, expires_at = ? WHERE id = ?")
                .params(told.reference(), told.payUrl(), told.expires().getEpochSecond(), id)
                .update();
    }

    /** Moves a payment; one that is captured at once has all of its amount then. */
    void move(String id, PaymentState state, String reason) {
        jdbc.sql(
                        """
                        UPDATE payments
                        SET state = :state, reason = :reason,
                            captured = CASE WHEN :state = 'captured' THEN amount ELSE captured END
                        WHERE id = :id
                        """)
                .param("state", state.code())
                .param("reason", reason)
                .param("id", id)
                .update();
    }

    Optional<Payment> find(String id) {
        return jdbc.sql("SELECT * FROM payments WHERE id = ?")
                .param(id)
                .query(PaymentStore::payment)
                .optional();
    }

    Optional<Payment> byReference(String gateway, String reference) {
        return jdbc.sql("SELECT * FROM payments WHERE gateway = ? AND reference = ?")
                .params(gateway, reference)
                .query(PaymentStore::payment)
                .optional();
    }

    /** The payments of an order, the first one first. */
    List<Payment> ofOrder(long order) {
        return jdbc.sql("SELECT * FROM payments WHERE order_id = ? ORDER BY created_at, rowid")
                .param(order)
                .query(PaymentStore::payment)
                .list();
    }

    private static Payment payment(ResultSet row, int number) throws SQLException {
        long expires = row.getLong("expires_at");
        boolean answered = !row.wasNull();
        String booking = row.getString("booking");
        return new Payment(
                row.getString("id"),
                row.getLong("order_id"),
                booking == null ? null : new BookingId(booking),
                row.getString("gateway"),
                row.getString("reference"),
                Money.ofMinor(row.getLong("amount")),
                row.getString("capture").equals("later"),
                Money.ofMinor(row.getLong("captured")),
                Money.ofMinor(row.getLong("released")),
                Money.ofMinor(row.getLong("refunded")),
                PaymentState.ofCode(row.getString("state")),
                row.getString("reason"),
                row.getString("prepaid"),
                row.getString("pay_url"),
                Instant.ofEpochSecond(row.getLong("created_at")),
                answered ? Instant.ofEpochSecond(expires) : null,
                row.getString("oddity"));
    }

    List<Long> ordersPayingBalances(Instant now) {
        return jdbc.sql(
                        """
                        SELECT DISTINCT order_id FROM payments
                        WHERE booking IS NOT NULL AND state = 'created' AND reference IS NOT NULL AND\s"""
                                + WorkStore.isReady(Kind.ASK, "order_id"))
                .param("now", now.getEpochSecond())
                .query(Long.class)
                .list();
    }

    List<Payment> transfersAwaited() {
        return jdbc.sql(
                        """
                        SELECT * FROM payments
                        WHERE gateway IN ('transfer', 'practice-transfer') AND state = 'created' AND reference IS NOT NULL
                        ORDER BY expires_at
                        """)
                .query(PaymentStore::payment)
                .list();
    }

    /** Transfers that were begun since an instant and have not come, the newest first; also those that were given up. */
    List<Payment> transfersNotCome(Instant since) {
        return jdbc.sql(
                        """
                        SELECT * FROM payments
                        WHERE gateway IN ('transfer', 'practice-transfer') AND created_at > ?
                          AND state IN ('created', 'expired') AND reference IS NOT NULL
                        ORDER BY created_at DESC
                        """)
                .param(since.getEpochSecond())
                .query(PaymentStore::payment)
                .list();
    }

    /** Refunds that the host sends by hand and has not yet, the oldest first. */
    List<HandBack> toHandBack() {
        return jdbc.sql(
                        """
                        SELECT s.id, s.amount, s.why, p.order_id, p.reference
                        FROM payment_steps s JOIN payments p ON p.id = s.payment
                        WHERE s.done_at IS NULL AND s.kind = 'refund' AND p.gateway IN ('transfer', 'practice-transfer')
                        ORDER BY s.rowid
                        """)
                .query((row, n) -> new HandBack(
                        row.getString("id"),
                        row.getLong("order_id"),
                        row.getString("reference"),
                        Money.ofMinor(row.getLong("amount")),
                        row.getString("why")))
                .list();
    }

    /** Notes what a gateway said that is not what was asked for. */
    void odd(String id, String oddity) {
        jdbc.sql("UPDATE payments SET oddity = ? WHERE id = ?")
                .params(oddity, id)
                .update();
    }

    /** The payments of which a gateway said something odd that nobody has looked at. */
    List<Payment> odd() {
        return jdbc.sql("SELECT * FROM payments WHERE oddity <> '' ORDER BY created_at")
                .query(PaymentStore::payment)
                .list();
    }

    @Override
    public int waiting() {
        return jdbc.sql("SELECT count(*) FROM payments WHERE oddity <> ''")
                .query(Integer.class)
                .single();
    }

    /** Notes that a payment paid so much of something. */
    void addPart(String payment, String subject, Money amount) {
        jdbc.sql(
                        """
                        INSERT INTO payment_parts (payment, subject, amount) VALUES (?, ?, ?)
                        ON CONFLICT (payment, subject) DO UPDATE SET amount = payment_parts.amount + excluded.amount
                        """)
                .params(payment, subject, amount.minor())
                .update();
    }

    /** What of a payment paid for something, and has not gone back. */
    record Part(String payment, String subject, Money left) {}

    /** What payments paid for a subject. */
    List<Part> partsOf(String subject) {
        return parts("subject", subject);
    }

    /** What a payment paid for. */
    List<Part> partsOfPayment(String payment) {
        return parts("payment", payment);
    }

    private List<Part> parts(String column, String value) {
        return jdbc.sql("SELECT payment, subject, amount - refunded AS rest FROM payment_parts WHERE " + column
                        + " = ?")
                .param(value)
                .query((row, n) -> new Part(
                        row.getString("payment"), row.getString("subject"), Money.ofMinor(row.getLong("rest"))))
                .list();
    }

    void refundPart(Part part, Money amount) {
        jdbc.sql("UPDATE payment_parts SET refunded = refunded + ? WHERE payment = ? AND subject = ?")
                .params(amount.minor(), part.payment(), part.subject())
                .update();
    }

    Optional<Step> step(String id) {
        return jdbc.sql("SELECT * FROM payment_steps WHERE id = ?")
                .param(id)
                .query(PaymentStore::step)
                .optional();
    }

    /** Notes what is to be done at the gateway. */
    void insertStep(Step step, String why, Instant now) {
        jdbc.sql(
                        "INSERT INTO payment_steps (id, payment, kind, booking, amount, why, asked_at) VALUES (?, ?, ?, ?, ?, ?, ?)")
                .params(Arrays.asList(
                        step.id(),
                        step.payment(),
                        step.kind().code(),
                        step.booking() == null ? null : step.booking().value(),
                        step.amount().minor(),
                        why,
                        now.getEpochSecond()))
                .update();
    }

    /**
     * What the gateway has not yet done and is to be asked now, the oldest first; a payment's later steps wait for its
     * earlier ones.
     */
    List<Step> stepsToDo(Instant now) {
        return jdbc.sql(
                        """
                        SELECT * FROM payment_steps s
                        WHERE done_at IS NULL
                          AND NOT EXISTS (SELECT 1 FROM payments p
                                          WHERE p.id = s.payment AND p.gateway IN ('transfer', 'practice-transfer'))
                          AND NOT EXISTS (SELECT 1 FROM payment_steps e
                                          WHERE e.payment = s.payment AND e.done_at IS NULL AND e.rowid < s.rowid)
                          AND\s"""
                                + WorkStore.isReady(Kind.STEP, "s.id") + " ORDER BY s.asked_at, s.rowid LIMIT 100")
                .param("now", now.getEpochSecond())
                .query(PaymentStore::step)
                .list();
    }

    /** What gateways have not yet done; transfers are sent by a host, who is asked for them elsewhere. */
    Backlog backlog() {
        return jdbc.sql(
                        """
                        SELECT count(*) AS waiting, min(s.asked_at) AS oldest FROM payment_steps s
                        WHERE s.done_at IS NULL
                          AND NOT EXISTS (SELECT 1 FROM payments p
                                          WHERE p.id = s.payment AND p.gateway IN ('transfer', 'practice-transfer'))
                        """)
                .query(WorkStore::backlog)
                .single();
    }

    /** What the gateway has been asked to do with a payment, or will be. */
    List<Step> stepsOf(String payment) {
        return jdbc.sql("SELECT * FROM payment_steps WHERE payment = ? ORDER BY rowid")
                .param(payment)
                .query(PaymentStore::step)
                .list();
    }

    private static Step step(ResultSet row, int number) throws SQLException {
        String booking = row.getString("booking");
        return new Step(
                row.getString("id"),
                row.getString("payment"),
                Step.Kind.valueOf(row.getString("kind").toUpperCase(Locale.ROOT)),
                booking == null ? null : new BookingId(booking),
                Money.ofMinor(row.getLong("amount")));
    }

    /** Notes that a step was carried out; false where it was noted before. */
    boolean done(Step step, Instant now) {
        return jdbc.sql("UPDATE payment_steps SET done_at = ? WHERE id = ? AND done_at IS NULL")
                        .params(now.getEpochSecond(), step.id())
                        .update()
                > 0;
    }

    /** Writes down what a payment amounts to now. */
    void amounts(String id, Money captured, Money released, Money refunded, PaymentState state) {
        jdbc.sql("UPDATE payments SET captured = ?, released = ?, refunded = ?, state = ? WHERE id = ?")
                .params(captured.minor(), released.minor(), refunded.minor(), state.code(), id)
                .update();
    }
}
