package gastfreund.app.checkout;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.core.openings.Answer;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** Many guests want the last place at the same moment. */
class RushTest extends DemoHouseTest {

    private static final int GUESTS = 50;

    @Test
    void oneOfFiftyGetsTheLastPlaceAndTheOthersAreTold() throws Exception {
        Answer.Entry entry = opening("wheel-hire", "60", 1, 20);
        long start = entry.time().start();
        int left = entry.open().get(0).opening().left();
        int heldBefore = heldAt(start);
        for (int i = 1; i < left; i++) {
            assertThat(keep("wheel-hire", "60", 1, start)).startsWith("/basket/");
        }
        long chargedBefore = payments();

        List<String> outcomes = allAtOnce(() -> keep("wheel-hire", "60", 1, start));

        assertThat(outcomes).filteredOn(path -> path.startsWith("/basket/")).hasSize(1);
        List<String> told =
                outcomes.stream().filter(path -> path.contains("gone=" + start)).toList();
        assertThat(told).hasSize(GUESTS - 1);
        assertThat(get(told.get(0)).body())
                .contains("Somebody else has just taken")
                .contains("These are the nearest that are free")
                .contains("name=\"start\"");
        assertThat(heldAt(start)).isEqualTo(heldBefore + left);
        assertThat(payments()).isEqualTo(chargedBefore);
    }

    private long payments() {
        return jdbc.sql("SELECT count(*) FROM payments").query(Long.class).single();
    }

    private int heldAt(long start) {
        return jdbc.sql(
                        """
                        SELECT coalesce(sum(party), 0) FROM bookings
                        WHERE start_at = ? AND offer = 'wheel-hire' AND status = 'held'
                        """)
                .param(start * 60)
                .query(Integer.class)
                .single();
    }

    private static List<String> allAtOnce(Callable<String> wish) throws Exception {
        ExecutorService guests = Executors.newFixedThreadPool(GUESTS);
        CountDownLatch gate = new CountDownLatch(1);
        List<Future<String>> wishes = new ArrayList<>();
        for (int i = 0; i < GUESTS; i++) {
            wishes.add(guests.submit(() -> {
                gate.await();
                return wish.call();
            }));
        }
        gate.countDown();
        List<String> outcomes = new ArrayList<>();
        for (Future<String> outcome : wishes) {
            outcomes.add(outcome.get());
        }
        guests.shutdown();
        return outcomes;
    }
}
