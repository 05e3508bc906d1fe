package gastfreund.app.orders;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The short form of {@link CrashRun}; {@code ./gastfreund bench crash} is the full one. */
@Tag("crash")
class CrashTest {

    @Test
    void nothingIsLostAndNothingHappensTwice() throws Exception {
        assertThat(CrashRun.run(20, 3, System.nanoTime())).contains("20 guests");
    }
}
