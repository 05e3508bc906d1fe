package gastfreund.app.accountpage;

import gastfreund.app.vouchers.Prepaid;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what somebody has of the house beside bookings, by their mail address. */
@Repository
class AccountPageStore {

    private static final int MOST = 50;

    /** @param token of its order's page */
    record Paper(long number, String kind, Instant issued, String token) {}

    record Bought(Prepaid.Kind kind, String code, String title, long rest, LocalDate lastDay) {}

    private final JdbcClient jdbc;

    AccountPageStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Receipts and credit notes, the last one first. */
    List<Paper> papers(String email) {
        return jdbc.sql(
                        """
                        SELECT d.number, d.kind, d.issued_at, o.token FROM orders o JOIN documents d ON d.order_id = o.id
                        WHERE o.email = ? COLLATE NOCASE AND o.forgotten_at IS NULL ORDER BY d.number DESC LIMIT ?
                        """)
                .params(email, MOST)
                .query((row, n) -> new Paper(
                        row.getLong("number"),
                        row.getString("kind"),
                        Instant.ofEpochSecond(row.getLong("issued_at")),
                        row.getString("token")))
                .list();
    }

    /** Vouchers and passes that were bought and not taken back, the last one first. */
    List<Bought> bought(String email) {
        return jdbc.sql(
                        """
                        SELECT p.kind, p.code, p.title, p.rest, p.last_day FROM orders o
                        JOIN goods g ON g.order_id = o.id JOIN prepaid p ON p.id = g.prepaid
                        WHERE o.email = ? COLLATE NOCASE AND o.forgotten_at IS NULL AND g.returned = 0
                        ORDER BY p.issued_at DESC LIMIT ?
                        """)
                .params(email, MOST)
                .query((row, n) -> new Bought(
                        Prepaid.Kind.valueOf(row.getString("kind").toUpperCase(Locale.ROOT)),
                        row.getString("code"),
                        row.getString("title"),
                        row.getLong("rest"),
                        LocalDate.parse(row.getString("last_day"))))
                .list();
    }
}
