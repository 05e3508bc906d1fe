package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import java.time.Clock;
import java.time.Duration;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks after orders that wait for money for an answer, or for what is left to pay. */
@Component
public class OutcomeJob {

    /** A notification has this long before the gateway is asked. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Outcomes outcomes;
    private final Endings endings;
    private final Balances balances;
    private final CatalogueService catalogues;
    private final Clock clock;

    OutcomeJob(
            Outcomes outcomes, Endings endings, Balances balances, CatalogueService catalogues, Clock clock) {
        this.outcomes = outcomes;
        this.endings = endings;
        this.balances = balances;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.outcomes:10s}")
    public void run() {
        outcomes.askAboutWaiting(clock.instant().minus(PATIENCE));
        outcomes.endWaitingInVain();
        outcomes.askAboutBalances();
        if (catalogues.find().isPresent()) {
            endings.lapseUnanswered();
            balances.ask();
        }
    }
}
