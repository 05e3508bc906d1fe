package gastfreund.app.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.DemoHouseTest;
import gastfreund.core.time.Interval;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;

/** Reads on a real file: only what can touch the stretch, found by index, on connections that cannot write. */
class BookedStoreTest extends DemoHouseTest {

    @Autowired
    private BookedStore store;

    @Test
    void onlyWhatTouchesTheStretchIsRead() {
        long start = jdbc.sql("SELECT start_at FROM bookings WHERE id = 'b03'").query(Long.class).single() / 60;
        assertThat(ids(start + 89, start + 90)).contains("b03").doesNotContain("b01");
        assertThat(ids(start + 90, start + 91)).doesNotContain("b03");
        assertThat(ids(start + 600_000, start + 600_001)).isEmpty();
    }

    private List<String> ids(long from, long to) {
        return store.touching(Interval.between(from, to)).bookings().stream()
                .map(b -> b.id().value())
                .toList();
    }

    @Test
    void theQueryGoesByIndex() {
        List<String> plan = jdbc.sql(
                        """
                        EXPLAIN QUERY PLAN SELECT id FROM bookings
                        WHERE start_at > 5 - (SELECT coalesce(max(end_at - start_at), 0) FROM bookings) AND start_at < 9
                        """)
                .query((row, n) -> row.getString("detail"))
                .list();
        assertThat(plan).anyMatch(step -> step.contains("bookings_by_start"));
        assertThat(plan).anyMatch(step -> step.contains("bookings_by_duration"));
    }

    @Test
    void outsideATransactionNothingCanBeWritten() {
        assertThatThrownBy(() -> jdbc.sql("DELETE FROM busy").update()).isInstanceOf(DataAccessException.class);
    }
}
