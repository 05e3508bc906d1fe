package gastfreund.app;

import gastfreund.app.endings.EndingRounds;
import gastfreund.app.paying.PayingRounds;
import org.springframework.boot.test.context.TestComponent;

/** What looks after orders by itself, all of it when a test wants it to. */
@TestComponent
public class AllRounds {

    private final PayingRounds paying;
    private final EndingRounds endings;

    AllRounds(PayingRounds paying, EndingRounds endings) {
        this.paying = paying;
        this.endings = endings;
    }

    public void run() {
        paying.run();
        endings.run();
    }
}
