package gastfreund.app.sources;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps how often each source was looked from and kept from on a day, and reads what came of it. */
@Repository
class SightingStore {

    private final JdbcClient jdbc;

    SightingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void add(LocalDate day, String source, int looked, int kept) {
        jdbc.sql(
                        """
                        INSERT INTO sightings (day, source, looked, kept) VALUES (:day, :source, :looked, :kept)
                        ON CONFLICT (day, source) DO UPDATE SET looked = sightings.looked + :looked, kept = sightings.kept + :kept
                        """)
                .param("day", day.toString())
                .param("source", source)
                .param("looked", looked)
                .param("kept", kept)
                .update();
    }

    /**
     * What came of each source, the most booked first: of bookings ordered in a stretch of time those that stand, and those
     * that took place.
     *
     * @param first the first date of those who looked (inclusive)
     * @param last the last date (inclusive)
     * @param start of the orders (inclusive)
     * @param end of the orders (exclusive)
     */
    List<Came> between(LocalDate first, LocalDate last, Instant start, Instant end) {
        Map<String, int[]> seen = new HashMap<>();
        jdbc.sql("SELECT source, sum(looked) AS looked, sum(kept) AS kept FROM sightings"
                        + " WHERE day >= ? AND day <= ? GROUP BY source")
                .params(first.toString(), last.toString())
                .query(row -> {
                    seen.put(row.getString("source"), new int[] {row.getInt("looked"), row.getInt("kept"), 0, 0});
                });
        jdbc.sql(
                        """
                        SELECT o.source, count(*) AS booked, count(*) FILTER (WHERE b.status = 'completed') AS came
                        FROM orders o JOIN bookings b ON b.order_id = o.id
                        WHERE o.placed_at >= ? AND o.placed_at < ?
                          AND b.status IN ('requested', 'confirmed', 'completed', 'no-show')
                        GROUP BY o.source
                        """)
                .params(start.getEpochSecond(), end.getEpochSecond())
                .query(row -> {
                    int[] counts = seen.computeIfAbsent(row.getString("source"), s -> new int[4]);
                    counts[2] = row.getInt("booked");
                    counts[3] = row.getInt("came");
                });
        return seen.entrySet().stream()
                .map(e -> new Came(e.getKey(), e.getValue()[0], e.getValue()[1], e.getValue()[2], e.getValue()[3]))
                .sorted(Came.MOST_FIRST)
                .toList();
    }

    void forgetBefore(LocalDate day) {
        jdbc.sql("DELETE FROM sightings WHERE day < ?").param(day.toString()).update();
    }
}
