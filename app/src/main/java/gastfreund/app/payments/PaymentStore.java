package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps payments and refunds. */
@Repository
class PaymentStore {

    /** A refund that was decided. */
    record Refund(String id, String payment, Money amount) {}

    private final JdbcClient jdbc;

    PaymentStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(String id, long order, String gateway, Money amount, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO payments (id, order_id, gateway, amount, state, created_at)
                        VALUES (?, ?, ?, ?, 'created', ?)
                        """)
                .params(id, order, gateway, amount.minor(), now.getEpochSecond())
                .update();
    }

    void answered(String id, Gateway.Told told) {
        jdbc.sql("UPDATE payments SET reference = ?, pay_url = ?, expires_at = ? WHERE id = ?")
                .params(told.reference(), told.payUrl(), told.expires().getEpochSecond(), id)
                .update();
    }

    void move(String id, PaymentState state, String reason) {
        jdbc.sql("UPDATE payments SET state = ?, reason = ? WHERE id = ?")
                .params(state.code(), reason, id)
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
        return new Payment(
                row.getString("id"),
                row.getLong("order_id"),
                row.getString("gateway"),
                row.getString("reference"),
                Money.ofMinor(row.getLong("amount")),
                Money.ofMinor(row.getLong("refunded")),
                PaymentState.ofCode(row.getString("state")),
                row.getString("reason"),
                row.getString("pay_url"),
                Instant.ofEpochSecond(row.getLong("created_at")),
                answered ? Instant.ofEpochSecond(expires) : null);
    }

    void insertRefund(String id, String payment, Money amount, String why, Instant now) {
        jdbc.sql("INSERT INTO refunds (id, payment, amount, why, asked_at) VALUES (?, ?, ?, ?, ?)")
                .params(id, payment, amount.minor(), why, now.getEpochSecond())
                .update();
    }

    /** Refunds that the gateway has not yet carried out. */
    List<Refund> refundsToDo() {
        return jdbc.sql("SELECT id, payment, amount FROM refunds WHERE done_at IS NULL ORDER BY asked_at LIMIT 100")
                .query((row, n) -> new Refund(
                        row.getString("id"), row.getString("payment"), Money.ofMinor(row.getLong("amount"))))
                .list();
    }

    /** Notes that a refund was carried out; false where it was noted before. */
    boolean refunded(Refund refund, Instant now) {
        int changed = jdbc.sql("UPDATE refunds SET done_at = ? WHERE id = ? AND done_at IS NULL")
                .params(now.getEpochSecond(), refund.id())
                .update();
        if (changed == 0) {
            return false;
        }
        jdbc.sql(
                        """
                        UPDATE payments
                        SET refunded = refunded + :amount,
                            state = CASE WHEN refunded + :amount = amount THEN 'refunded' ELSE 'partly refunded' END
                        WHERE id = :payment
                        """)
                .param("amount", refund.amount().minor())
                .param("payment", refund.payment())
                .update();
        return true;
    }
}
