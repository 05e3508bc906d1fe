package gastfreund.app.endings;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Ends requests that nobody answered, and bookings that took place. */
@Component
public class EndingRounds {

    private static final String PAUSE = "${gastfreund.jobs.outcomes:10s}";

    private final Endings endings;
    private final Attendance attendance;
    private final CatalogueService catalogues;
    private final Rounds rounds;

    EndingRounds(Endings endings, Attendance attendance, CatalogueService catalogues, Rounds rounds) {
        this.endings = endings;
        this.attendance = attendance;
        this.catalogues = catalogues;
        this.rounds = rounds;
    }

    /** Every round once, one after the other. */
    public void run() {
        lapse();
        complete();
    }

    @Scheduled(fixedDelayString = PAUSE)
    void lapse() {
        if (catalogues.find().isPresent()) {
            rounds.each(Kind.UNANSWERED, endings.unanswered());
        }
    }

    @Scheduled(fixedDelayString = PAUSE)
    void complete() {
        rounds.each(Kind.ATTENDED, attendance.ended());
    }
}
