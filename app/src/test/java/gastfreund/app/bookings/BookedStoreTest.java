package gastfreund.app.bookings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import gastfreund.core.time.Interval;
import java.time.Duration;
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
        long start = jdbc.sql("SELECT start_at FROM bookings WHERE id = 'b03'")
                        .query(Long.class)
                        .single()
                / 60;
        assertThat(ids(start + 89, start + 90)).contains("b03").doesNotContain("b01");
        assertThat(ids(start + 90, start + 91)).doesNotContain("b03");
        assertThat(ids(start + 600_000, start + 600_001)).isEmpty();
    }

    private List<String> ids(long from, long to) {
        return store.touching(Interval.between(from, to), clock.instant()).bookings().stream()
                .map(b -> b.id().value())
                .toList();
    }

    @Test
    void aPlaceThatIsNoLongerKeptIsNotRead() {
        Answer.Entry free = opening("glaze-call", "25", 1, 4);
        keep("glaze-call", "25", 1, free.time().start());
        String hold = jdbc.sql("SELECT id FROM bookings WHERE status = 'held' ORDER BY rowid DESC LIMIT 1")
                .query(String.class)
                .single();
        assertThat(ids(free.time().start(), free.time().start() + 1)).contains(hold);
        clock.moveAhead(Duration.ofMinutes(16));
        assertThat(ids(free.time().start(), free.time().start() + 1)).doesNotContain(hold);
    }

    @Test
    void outsideATransactionNothingCanBeWritten() {
        assertThatThrownBy(() -> jdbc.sql("DELETE FROM busy").update()).isInstanceOf(DataAccessException.class);
    }
}
