package gastfreund.app.wishes;

import gastfreund.app.bookings.BookingChanges;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.core.offers.House;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Goes through the waiting list whenever something may have come free: a booking, the house or the minute has changed. */
@Component
public class WishRound {

    /** When the list was last gone through. */
    private record Seen(House house, long version, long minute) {}

    private final Wishes wishes;
    private final CatalogueService catalogues;
    private final BookingChanges changes;
    private final Rounds rounds;
    private final Clock clock;
    private @Nullable Seen seen;

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
        Seen now = new Seen(
                catalogues.plain().house(), changes.version(), clock.instant().getEpochSecond() / 60);
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
