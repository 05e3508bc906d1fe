package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks after orders that wait for money, for an answer, for what is left to pay, or for their end. Each round has a thread
 * of its own, so that a gateway that does not answer keeps nothing else waiting.
 */
@Component
public class OutcomeJob {

    private static final String PAUSE = "${gastfreund.jobs.outcomes:10s}";

    /** A notification has this long before the gateway is asked. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Waiting waiting;
    private final Endings endings;
    private final Balances balances;
    private final Attendance attendance;
    private final CatalogueService catalogues;
    private final Rounds rounds;
    private final Clock clock;

    OutcomeJob(
            Waiting waiting,
            Endings endings,
            Balances balances,
            Attendance attendance,
            CatalogueService catalogues,
            Rounds rounds,
            Clock clock) {
        this.waiting = waiting;
        this.endings = endings;
        this.balances = balances;
        this.attendance = attendance;
        this.catalogues = catalogues;
        this.rounds = rounds;
        this.clock = clock;
    }

    /** Every round once, one after the other. */
    public void run() {
        ask();
        end();
        askAboutBalances();
        lapse();
        askForMoney();
        complete();
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
    void lapse() {
        inAHouse(Kind.UNANSWERED, endings::unanswered);
    }

    @Scheduled(fixedDelayString = PAUSE)
    void askForMoney() {
        inAHouse(Kind.OWED, balances::toAsk);
    }

    @Scheduled(fixedDelayString = PAUSE)
    void complete() {
        inAHouse(Kind.ATTENDED, attendance::ended);
    }

    private void inAHouse(Kind kind, Supplier<List<Entry>> entries) {
        if (catalogues.find().isPresent()) {
            rounds.each(kind, entries.get());
        }
    }
}
