package gastfreund.app.paying;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import java.time.Clock;
import java.time.Duration;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks after orders that wait for money, or for what is left to pay. Each round has a thread of its own, so that a gateway
 * that does not answer keeps nothing else waiting.
 */
@Component
public class PayingRounds {

    private static final String PAUSE = "${gastfreund.jobs.outcomes:10s}";

    /** A notification has this long before the gateway is asked. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Waiting waiting;
    private final Balances balances;
    private final CatalogueService catalogues;
    private final Rounds rounds;
    private final Clock clock;

    PayingRounds(Waiting waiting, Balances balances, CatalogueService catalogues, Rounds rounds, Clock clock) {
        this.waiting = waiting;
        this.balances = balances;
        this.catalogues = catalogues;
        this.rounds = rounds;
        this.clock = clock;
    }

    /** Every round once, one after the other. */
    public void run() {
        ask();
        end();
        askAboutBalances();
        askForMoney();
    }

    @Scheduled(fixedDelayString = PAUSE)
    void ask() {
        rounds.each(Kind.ASK, waiting.toAskAbout(clock.instant().minus(PATIENCE)));
    }

    @Scheduled(fixedDelayString = PAUSE)
    void end() {
        rounds.each(Kind.END, waiting.inVain());
    }

    @Scheduled(fixedDelayString = PAUSE)
    void askAboutBalances() {
        rounds.each(Kind.ASK, waiting.balancesToAskAbout());
    }

    @Scheduled(fixedDelayString = PAUSE)
    void askForMoney() {
        if (catalogues.find().isPresent()) {
            rounds.each(Kind.OWED, balances.toAsk());
        }
    }
}
