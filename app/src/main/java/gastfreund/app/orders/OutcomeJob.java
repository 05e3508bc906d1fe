package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.core.openings.BookingId;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks after orders that wait for money, for an answer, for what is left to pay, or for their end. */
@Component
public class OutcomeJob {

    private static final Logger LOG = LoggerFactory.getLogger(OutcomeJob.class);

    /** A notification has this long before the gateway is asked. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Waiting waiting;
    private final Endings endings;
    private final Balances balances;
    private final Attendance attendance;
    private final CatalogueService catalogues;
    private final Clock clock;

    OutcomeJob(
            Waiting waiting,
            Endings endings,
            Balances balances,
            Attendance attendance,
            CatalogueService catalogues,
            Clock clock) {
        this.attendance = attendance;
        this.waiting = waiting;
        this.endings = endings;
        this.balances = balances;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.outcomes:10s}")
    public void run() {
        waiting.askAbout(clock.instant().minus(PATIENCE));
        waiting.endInVain();
        waiting.askAboutBalances();
        if (catalogues.find().isPresent()) {
            each(endings.unanswered(), endings::lapse);
            each(balances.toAsk(), balances::ask);
            each(attendance.ended(), attendance::complete);
        }
    }

    /** Each in a transaction of its own: one that fails does not keep the others from what is due to them. */
    private static void each(List<BookingId> bookings, Consumer<BookingId> what) {
        for (BookingId booking : bookings) {
            try {
                what.accept(booking);
            } catch (RuntimeException e) {
                LOG.error("booking {} will be looked at again", booking, e);
            }
        }
    }
}
