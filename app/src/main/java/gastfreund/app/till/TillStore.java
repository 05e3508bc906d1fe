package gastfreund.app.till;

import gastfreund.core.money.Money;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what is taken and given by hand. */
@Repository
class TillStore {

    private final JdbcClient jdbc;

    TillStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(
            Instant at, String who, TillEntry.Kind kind, Hand way, Money amount, @Nullable Long order, String words) {
        jdbc.sql("INSERT INTO till (at, who, kind, way, amount, order_id, words) VALUES (?, ?, ?, ?, ?, ?, ?)")
                .params(Arrays.asList(at.getEpochSecond(), who, kind.code(), way.code(), amount.minor(), order, words))
                .update();
    }

    /** @param to not included */
    List<TillEntry> between(Instant from, Instant to) {
        return jdbc.sql(
                        """
                        SELECT t.id, t.at, t.who, t.kind, t.way, t.amount, o.number, t.words
                        FROM till t LEFT JOIN orders o ON o.id = t.order_id
                        WHERE t.at >= ? AND t.at < ? ORDER BY t.id
                        """)
                .params(from.getEpochSecond(), to.getEpochSecond())
                .query(TillStore::entry)
                .list();
    }

    /** What all entries of a way come to. */
    Money sum(Hand way) {
        return Money.ofMinor(jdbc.sql("SELECT coalesce(sum(amount), 0) FROM till WHERE way = ?")
                .param(way.code())
                .query(Long.class)
                .single());
    }

    /**
     * What came in and went back by a way of paying; vouchers are no money.
     *
     * @param to not included
     */
    List<Till.Came> came(Instant from, Instant to) {
        return jdbc.sql(
                        """
                        SELECT gateway, sum(came) AS came, sum(back) AS back FROM (
                            SELECT p.gateway, p.captured AS came, 0 AS back
                            FROM journal j JOIN payments p ON p.id = j.subject
                            WHERE j.about = 'payment' AND j.step_to = 'captured' AND j.at >= :from AND j.at < :to
                              AND p.capture = 'now' AND p.prepaid IS NULL
                            UNION ALL
                            SELECT p.gateway, CASE s.kind WHEN 'capture' THEN s.amount ELSE 0 END,
                                   CASE s.kind WHEN 'refund' THEN s.amount ELSE 0 END
                            FROM payment_steps s JOIN payments p ON p.id = s.payment
                            WHERE s.done_at >= :from AND s.done_at < :to AND s.kind IN ('capture', 'refund')
                            UNION ALL
                            SELECT t.way, CASE t.kind WHEN 'taken' THEN t.amount ELSE 0 END,
                                   CASE t.kind WHEN 'given' THEN -t.amount ELSE 0 END
                            FROM till t WHERE t.at >= :from AND t.at < :to AND t.kind IN ('taken', 'given')) moved
                        GROUP BY gateway ORDER BY gateway
                        """)
                .param("from", from.getEpochSecond())
                .param("to", to.getEpochSecond())
                .query((row, n) -> new Till.Came(
                        row.getString("gateway"),
                        Money.ofMinor(row.getLong("came")),
                        Money.ofMinor(row.getLong("back"))))
                .list();
    }

    private static TillEntry entry(ResultSet row, int number) throws SQLException {
        long order = row.getLong("number");
        boolean none = row.wasNull();
        return new TillEntry(
                row.getLong("id"),
                Instant.ofEpochSecond(row.getLong("at")),
                row.getString("who"),
                TillEntry.Kind.valueOf(row.getString("kind").toUpperCase(Locale.ROOT)),
                Hand.find(row.getString("way")).orElseThrow(),
                Money.ofMinor(row.getLong("amount")),
                none ? null : order,
                row.getString("words"));
    }
}
