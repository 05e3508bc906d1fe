package gastfreund.app.api;

import gastfreund.core.time.Interval;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Finds orders and bookings for programs. */
@Repository
class ProgramOrderStore {

    private final JdbcClient jdbc;

    ProgramOrderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The ids of the orders that follow one, the first ones first. */
    List<Long> after(long number, int most) {
        return jdbc.sql("SELECT id FROM orders WHERE number > ? ORDER BY number LIMIT ?")
                .params(number, most)
                .query(Long.class)
                .list();
    }

    /**
     * The bookings of orders that begin in a span.
     *
     * @param span its end exclusive
     */
    List<String> starting(Interval span, int most) {
        return jdbc.sql(
                        """
                        SELECT id FROM bookings
                        WHERE start_at >= ? AND start_at < ? AND order_id IS NOT NULL
                        ORDER BY start_at LIMIT ?
                        """)
                .params(
                        span.startInstant().getEpochSecond(),
                        Interval.instantOf(span.end()).getEpochSecond(),
                        most)
                .query(String.class)
                .list();
    }
}
