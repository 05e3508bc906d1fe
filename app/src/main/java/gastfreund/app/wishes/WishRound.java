package gastfreund.app.wishes;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.AsOf;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Goes through the waiting list whenever something may have come free: a booking, the house or the minute has changed. */
@Component
public class WishRound {

    private final Wishes wishes;
    private final CatalogueService catalogues;
    private final BookingChanges changes;
    private final Rounds rounds;
    private final Clock clock;
    private @Nullable AsOf seen;

    WishRound(Wishes wishes, CatalogueService catalogues, BookingChanges changes, Rounds rounds, Clock clock) {
        this.wishes = wishes;
        this.catalogues = catalogues;
        this.changes = changes;
        this.rounds = rounds;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.wishes:2s}")
    void look() {
        if (catalogues.findPlain().isEmpty()) {
            return;
        }
        AsOf now = AsOf.of(catalogues.plain().house(), changes, clock.instant());
        if (!now.equals(seen)) {
            seen = now;
            run();
        }
    }

    /** Goes through it, whether something has changed or not. */
    public void run() {
        if (wishes.isAnybody()) {
            rounds.each(Kind.WISH, List.of(new Entry("list", wishes::serveAll)));
        }
    }
}
