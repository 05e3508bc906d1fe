package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.RunningApplication;
import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.sql.SQLException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/** What must hold of a house's books after whatever happened to it: money, documents and letters. */
public final class Books {

    private final RunningApplication application;

    public Books(RunningApplication application) {
        this.application = application;
    }

    /** Every payment is known on both sides alike, nothing waits, and money lies where what it was paid for stands. */
    public void settled() throws IOException, SQLException {
        String told = application
                .send(HttpRequest.newBuilder(URI.create(application.standins().address() + "/gateway/payments"))
                        .header("Authorization", "Bearer practice-key"))
                .body();
        for (JsonNode payment : HouseFile.parse(told)) {
            long captured = payment.get("captured").longValue();
            long refunded = payment.get("refunded").longValue();
            if (captured > 0) {
                String id = payment.get("id").stringValue();
                assertThat(application.one(
                                "SELECT captured || ' ' || refunded FROM payments WHERE reference = '" + id + "'"))
                        .as("payment %s", id)
                        .isEqualTo(captured + " " + refunded);
            }
        }
        assertThat(application.one("SELECT count(*) FROM outbox WHERE sent_at IS NULL"))
                .isEqualTo("0");
        assertThat(application.one("SELECT count(*) FROM payment_steps WHERE done_at IS NULL"))
                .isEqualTo("0");
        assertThat(application.one("SELECT count(*) FROM order_lines l JOIN bookings b ON b.id = l.booking "
                        + "WHERE l.paid > 0 AND b.status NOT IN ('confirmed', 'completed', 'held') "
                        + "AND (b.status <> 'cancelled' OR b.start_at > " + application.now() + " + 3 * 86400)"))
                .as("money with bookings that do not stand")
                .isEqualTo("0");
        // Whatever an order's payments have is its lines' and its goods' to the cent; held ones wait with their
        // vouchers'.
        assertThat(
                        application.one(
                                """
                        SELECT group_concat(o.number) FROM orders o WHERE
                            (SELECT coalesce(sum(captured - refunded), 0) FROM payments WHERE order_id = o.id) <>
                            (SELECT coalesce(sum(paid), 0) FROM order_lines WHERE order_id = o.id)
                            + (SELECT coalesce(sum(price), 0) FROM goods WHERE order_id = o.id AND prepaid IS NOT NULL)
                        """))
                .as("orders whose money is somewhere else")
                .isNull();
        assertThat(
                        application.one(
                                """
                        SELECT count(*) FROM order_lines l JOIN bookings b ON b.id = l.booking AND b.status = 'held'
                        WHERE l.paid <> (SELECT coalesce(sum(captured - refunded), 0) FROM payments p
                                         WHERE p.order_id = l.order_id AND p.gateway = 'voucher')
                        """))
                .as("captured money of bookings that only wait")
                .isEqualTo("0");
    }

    /** Receipts less credit notes are what the house gets, and their numbers have no gap. */
    public void checkDocuments() throws SQLException {
        assertThat(
                        application.one(
                                """
                        SELECT group_concat(o.number) FROM orders o WHERE o.basket IS NOT NULL AND
                            (SELECT coalesce(sum(iif(kind = 'receipt', 1, -1) * json_extract(content, '$.total')), 0)
                             FROM documents WHERE order_id = o.id) <>
                            (SELECT coalesce(sum(iif(b.status IN ('confirmed', 'completed'), l.total - l.waived, l.paid)), 0)
                             FROM order_lines l JOIN bookings b ON b.id = l.booking AND b.status <> 'held'
                             WHERE l.order_id = o.id)
                            + (SELECT coalesce(sum(price), 0) FROM goods WHERE order_id = o.id AND prepaid IS NOT NULL)
                        """))
                .as("orders whose documents say something else")
                .isNull();
        assertThat(application.one("SELECT max(number) - min(number) + 1 - count(*) FROM documents"))
                .isEqualTo("0");
    }

    /** Each letter for which there is a reason was put once, and came once. */
    public void checkMail() throws SQLException {
        checkMail(
                "confirmation",
                "FROM order_lines l JOIN bookings b ON b.id = l.booking AND b.status IN ('confirmed', 'completed', 'cancelled')");
        checkMail("cancelled", "FROM order_lines l JOIN bookings b ON b.id = l.booking AND b.status = 'cancelled'");
        checkMail("issued", "FROM goods l WHERE l.prepaid IS NOT NULL");
        String wrote = application.one("SELECT group_concat(recipient) FROM outbox WHERE recipient LIKE 'guest%'");
        Matcher came = Pattern.compile("guest[a-z-]*\\d+@post\\.example")
                .matcher(application.standins().page("/mail"));
        assertThat(came.results().map(m -> m.group()).toList())
                .as("mail that came")
                .containsExactlyInAnyOrder(wrote.split(","));
    }

    /** Of one kind, every order for which there is a reason has one mail, and it came once. */
    private void checkMail(String kind, String reasons) throws SQLException {
        assertThat(application.one("SELECT count(*) FROM (SELECT DISTINCT l.order_id AS id " + reasons
                        + ") o JOIN orders r "
                        + "ON r.id = o.id AND r.basket IS NOT NULL WHERE 1 <> "
                        + "(SELECT count(*) FROM outbox m WHERE m.order_id = o.id AND m.recipient NOT LIKE '+%' AND m.kind = '"
                        + kind + "')"))
                .as("orders without one mail of the kind %s", kind)
                .isEqualTo("0");
    }
}
