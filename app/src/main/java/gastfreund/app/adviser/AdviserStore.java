package gastfreund.app.adviser;

import gastfreund.app.adviser.Month.Issued;
import gastfreund.app.adviser.Month.Rate;
import gastfreund.app.adviser.Month.Vouchers;
import gastfreund.core.money.Money;
import gastfreund.housefile.HouseFile;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.JsonNode;

/** Reads documents, payments and vouchers of a stretch of time. */
@Repository
class AdviserStore {

    private final JdbcClient jdbc;

    AdviserStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private JdbcClient.StatementSpec between(String sql, Instant from, Instant to) {
        return jdbc.sql(sql).param("from", from.getEpochSecond()).param("to", to.getEpochSecond());
    }

    /** The documents issued at an instant or after, and before another, by number. */
    List<Issued> documents(Instant from, Instant to) {
        return between(
                        "SELECT number, kind, issued_at, content FROM documents"
                                + " WHERE issued_at >= :from AND issued_at < :to ORDER BY number",
                        from,
                        to)
                .query((row, n) -> issued(
                        row.getLong("number"),
                        row.getString("kind"),
                        Instant.ofEpochSecond(row.getLong("issued_at")),
                        HouseFile.parse(row.getString("content"))))
                .list();
    }

    private static Issued issued(long number, String kind, Instant at, JsonNode content) {
        long sign = kind.equals("credit-note") ? -1 : 1;
        List<Rate> taxes = new ArrayList<>();
        content.get("taxes")
                .forEach(t -> taxes.add(new Rate(
                        t.get("rate").stringValue(),
                        Money.ofMinor(sign * t.get("net").longValue()),
                        Money.ofMinor(sign * t.get("tax").longValue()))));
        Money total = Money.ofMinor(sign * content.get("total").longValue());
        Money taxed = Money.sum(taxes.stream().map(Rate::gross).toList());
        return new Issued(number, kind, at, content.get("order").longValue(), taxes, total.minus(taxed), total);
    }

    /** Amounts by way. */
    record Amount(String way, int payments, Money amount) {}

    private List<Amount> amounts(String sql, Instant from, Instant to) {
        return between(sql, from, to)
                .query((row, n) ->
                        new Amount(row.getString("gateway"), row.getInt("n"), Money.ofMinor(row.getLong("amount"))))
                .list();
    }

    /**
     * What came in: of payments that are taken at once, at the moment at which the journal says so, or else at which they were
     * written down; of those that are taken later, with each step that took some of them.
     */
    List<Amount> cameIn(Instant from, Instant to) {
        Map<String, Amount> sums = new TreeMap<>();
        List<Amount> all = new ArrayList<>(amounts(
                """
                SELECT p.gateway, count(*) AS n, sum(p.captured) AS amount
                FROM journal j JOIN payments p ON p.id = j.subject
                WHERE j.about = 'payment' AND j.step_to = 'captured' AND j.at >= :from AND j.at < :to
                  AND p.capture = 'now' AND p.captured > 0
                GROUP BY p.gateway
                """,
                from,
                to));
        all.addAll(amounts(
                """
                SELECT p.gateway, count(*) AS n, sum(p.captured) AS amount FROM payments p
                WHERE p.created_at >= :from AND p.created_at < :to AND p.capture = 'now' AND p.captured > 0
                  AND NOT EXISTS (SELECT 1 FROM journal j WHERE j.order_id = p.order_id AND j.subject = p.id
                                  AND j.about = 'payment' AND j.step_to = 'captured')
                GROUP BY p.gateway
                """,
                from,
                to));
        all.addAll(steps("capture", from, to));
        all.forEach(a -> sums.merge(
                a.way(),
                a,
                (x, y) -> new Amount(
                        x.way(), x.payments() + y.payments(), x.amount().plus(y.amount()))));
        return List.copyOf(sums.values());
    }

    /** What went back, with each step that is done. */
    List<Amount> wentBack(Instant from, Instant to) {
        return steps("refund", from, to);
    }

    private List<Amount> steps(String kind, Instant from, Instant to) {
        return between(
                        """
                        SELECT p.gateway, count(*) AS n, sum(s.amount) AS amount
                        FROM payment_steps s JOIN payments p ON p.id = s.payment
                        WHERE s.done_at >= :from AND s.done_at < :to AND s.kind = :kind
                        GROUP BY p.gateway ORDER BY p.gateway
                        """,
                        from,
                        to)
                .param("kind", kind)
                .query((row, n) ->
                        new Amount(row.getString("gateway"), row.getInt("n"), Money.ofMinor(row.getLong("amount"))))
                .list();
    }

    private long[] pair(String sql, Instant from, Instant to, String kind) {
        return between(sql, from, to)
                .param("kind", kind)
                .query((row, n) -> new long[] {row.getLong("n"), row.getLong("amount")})
                .single();
    }

    /** Vouchers and passes that were issued, and what was used of those of any time. */
    Vouchers vouchers(Instant from, Instant to) {
        String issued = "SELECT count(*) AS n, coalesce(sum(worth), 0) AS amount FROM prepaid"
                + " WHERE issued_at >= :from AND issued_at < :to AND kind = :kind";
        String used = "SELECT count(*) AS n, coalesce(sum(u.amount), 0) AS amount FROM prepaid_uses u"
                + " JOIN prepaid p ON p.id = u.prepaid WHERE u.at >= :from AND u.at < :to AND p.kind = :kind";
        long[] vouchers = pair(issued, from, to, "voucher");
        return new Vouchers(
                (int) vouchers[0],
                Money.ofMinor(vouchers[1]),
                Money.ofMinor(pair(used, from, to, "voucher")[1]),
                (int) pair(issued, from, to, "pass")[0],
                pair(used, from, to, "pass")[1]);
    }
}
