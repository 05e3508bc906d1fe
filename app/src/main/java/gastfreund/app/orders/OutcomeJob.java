package gastfreund.app.orders;

import java.time.Clock;
import java.time.Duration;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks after orders that wait for money. */
@Component
public class OutcomeJob {

    /** A notification has this long before the gateway is asked. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Outcomes outcomes;
    private final Clock clock;

    OutcomeJob(Outcomes outcomes, Clock clock) {
        this.outcomes = outcomes;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.outcomes:10s}")
    public void run() {
        outcomes.askAboutWaiting(clock.instant().minus(PATIENCE));
        outcomes.endWaitingInVain();
    }
}
