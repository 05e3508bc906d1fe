package gastfreund.app.rounds;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

/** How long something rests that failed. */
class PausesTest {

    @Test
    void pausesGrowUpToAnHour() {
        assertThat(Rounds.pause(0)).isEqualTo(Duration.ofSeconds(5));
        assertThat(Rounds.pause(1)).isEqualTo(Duration.ofSeconds(10));
        for (int tries = 1; tries < 1000; tries++) {
            assertThat(Rounds.pause(tries))
                    .isGreaterThanOrEqualTo(Rounds.pause(tries - 1))
                    .isLessThanOrEqualTo(Duration.ofHours(1));
        }
        assertThat(Rounds.pause(Integer.MAX_VALUE)).isEqualTo(Duration.ofHours(1));
    }
}
