package gastfreund.app.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** Several who write bookings at the same moment. */
class AtOnceTest extends DemoHouseTest {

    private static final int DAYS = 6;
    private static final int AT_ONCE = 4;

    @Test
    void nobodyIsHeldTwiceAtTheSameTime() throws Exception {
        List<HostBrowser> hosts = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            HostBrowser host = new HostBrowser(address(""), somebody());
            host.signIn("okka@quillmere.example", "clay and water");
            hosts.add(host);
        }
        ExecutorService together = Executors.newFixedThreadPool(AT_ONCE);
        for (int day = 5; day < 5 + DAYS; day++) {
            Map<String, String> wish = Map.of(
                    "offer",
                    "private-lesson",
                    "length",
                    "60",
                    "day",
                    today().plusDays(day).toString());
            List<Future<Integer>> answers = new ArrayList<>();
            for (HostBrowser host : hosts) {
                answers.add(together.submit(() -> host.post("/desk/book", wish).statusCode()));
            }
            for (Future<Integer> answer : answers) {
                assertThat(answer.get()).isEqualTo(200);
            }
        }
        together.shutdown();
        record Held(String staff, Interval time) {}
        List<Held> held = jdbc.sql(
                        """
                        SELECT s.staff, b.start_at, b.end_at FROM bookings b JOIN booking_staff s ON s.booking = b.id
                        WHERE b.status = 'held'
                        """)
                .query((row, n) -> new Held(
                        row.getString("staff"),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60)))
                .list();
        assertThat(held).hasSizeGreaterThan(DAYS);
        for (int i = 0; i < held.size(); i++) {
            for (int j = 0; j < i; j++) {
                Held one = held.get(i);
                Held other = held.get(j);
                assertThat(one.staff().equals(other.staff()) && one.time().overlaps(other.time()))
                        .as("%s beside %s", one, other)
                        .isFalse();
            }
        }
    }
}
