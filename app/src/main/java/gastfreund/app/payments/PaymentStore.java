package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import gastfreund.core.orders.PaymentState;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps payments and what is to be done about them. */
@Repository
class PaymentStore {

    private final JdbcClient jdbc;

    PaymentStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(String id, long order, BookingId booking, String gateway, Money amount, boolean later, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO payments (id, order_id, booking, gateway, amount, capture, state, created_at)
                        VALUES (?, ?, ?, ?, ?, ?, 'created', ?)
                        """)
                .params(
                        id,
                        order,
                        booking == null ? null : booking.value(),
                        gateway,
                        amount.minor(),
                        later ? "later" : "now",
                        now.getEpochSecond())
                .update();
    }

    void madeWith(String id, String voucher) {
        jdbc.sql("UPDATE payments SET prepaid = ? WHERE id = ?").params(voucher, id).update();
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
        return jdbc.sql("SELECT * FROM payments WHERE id = ?").param(id).query(PaymentStore::payment).optional();
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
                answered ? Instant.ofEpochSecond(expires) : null);
    }

    List<Long> ordersPayingBalances() {
        return jdbc.sql(
                        """
                        SELECT DISTINCT order_id FROM payments
                        WHERE booking IS NOT NULL AND state = 'created' AND reference IS NOT NULL
                        """)
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

    /** Steps that were tried at least so often in vain, the oldest first. */
    List<Stuck> stuck(int tries) {
        return jdbc.sql(
                        """
                        SELECT s.kind, s.amount, s.tries, p.order_id
                        FROM payment_steps s JOIN payments p ON p.id = s.payment
                        WHERE s.done_at IS NULL AND s.tries >= ?
                        ORDER BY s.rowid
                        """)
                .param(tries)
                .query((row, n) -> new Stuck(
                        row.getLong("order_id"), row.getString("kind"), Money.ofMinor(row.getLong("amount")), row.getInt("tries")))
                .list();
    }

    Optional<Step> step(String id) {
        return jdbc.sql("SELECT * FROM payment_steps WHERE id = ?").param(id).query(PaymentStore::step).optional();
    }

    /** Notes what is to be done at the gateway. */
    void insertStep(Step step, String why, Instant now) {
        jdbc.sql("INSERT INTO payment_steps (id, payment, kind, booking, amount, why, asked_at) VALUES (?, ?, ?, ?, ?, ?, ?)")
                .params(
                        step.id(),
                        step.payment(),
                        step.kind().code(),
                        step.booking() == null ? null : step.booking().value(),
                        step.amount().minor(),
                        why,
                        now.getEpochSecond())
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
                        WHERE done_at IS NULL AND next_try <= ?
                          AND NOT EXISTS (SELECT 1 FROM payments p
                                          WHERE p.id = s.payment AND p.gateway IN ('transfer', 'practice-transfer'))
                          AND NOT EXISTS (SELECT 1 FROM payment_steps e
                                          WHERE e.payment = s.payment AND e.done_at IS NULL AND e.rowid < s.rowid)
                        ORDER BY s.rowid
                        LIMIT 100
                        """)
                .param(now.getEpochSecond())
                .query(PaymentStore::step)
                .list();
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

    /** Notes that the gateway could not be asked; the pauses grow up to an hour. */
    void failed(Step step, Instant now) {
        jdbc.sql("UPDATE payment_steps SET tries = tries + 1, next_try = ? + min(3600, 3 << min(tries, 11)) WHERE id = ?")
                .params(now.getEpochSecond(), step.id())
                .update();
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
