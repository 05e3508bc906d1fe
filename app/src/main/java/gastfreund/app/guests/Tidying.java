package gastfreund.app.guests;

import gastfreund.app.accounts.Accounts;
import gastfreund.app.accounts.Passkeys;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.KeepRules;
import gastfreund.app.journal.Actor;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.app.wishes.Wishes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Removes what is no longer to be kept: expired holds and baskets and the bodies of sent letters after thirty days, guests'
 * data as long after their last booking as the house has set, documents as long after their issue as the law asks.
 */
@Component
public class Tidying {

    /** How many are forgotten in one round. */
    static final int AT_ONCE = 100;

    private static final Duration DAYS = Duration.ofDays(30);
    private static final Duration SIGN_INS = Duration.ofDays(365);

    private final BookingStore bookings;
    private final GuestStore known;
    private final TidyStore store;
    private final GuestService guests;
    private final Wishes wishes;
    private final Accounts accounts;
    private final Passkeys passkeys;
    private final CatalogueService catalogues;
    private final Doorkeeper doorkeeper;
    private final VisitorMarks marks;
    private final Rounds rounds;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Tidying(
            GuestStore known,
            TidyStore store,
            GuestService guests,
            Wishes wishes,
            Accounts accounts,
            Passkeys passkeys,
            CatalogueService catalogues,
            Doorkeeper doorkeeper,
            VisitorMarks marks,
            Rounds rounds,
            TransactionTemplate transaction,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.known = known;
        this.store = store;
        this.guests = guests;
        this.wishes = wishes;
        this.accounts = accounts;
        this.passkeys = passkeys;
        this.catalogues = catalogues;
        this.doorkeeper = doorkeeper;
        this.marks = marks;
        this.rounds = rounds;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Scheduled(fixedDelayString = "${gastfreund.jobs.tidy:1h}")
    public void run() {
        Instant old = clock.instant().minus(DAYS);
        List<Entry> entries = new ArrayList<>();
        entries.add(entry("holds", old, bookings::removeHolds));
        entries.add(entry("baskets", old, this::removeBaskets));
        entries.add(entry("wishes", old, wishes::forgetEnded));
        entries.add(entry("letters", old, store::emptyLetters));
        entries.add(entry("sign-ins", clock.instant().minus(SIGN_INS), store::removeSignIns));
        entries.add(new Entry("seals", doorkeeper::forgetOld));
        entries.add(new Entry("account-links", accounts::forgetOld));
        entries.add(new Entry("passkeys", passkeys::forgetOld));
        catalogues.find().ifPresent(catalogue -> {
            KeepRules rules = catalogue.keeping();
            entries.add(entry("documents", monthsAgo(rules.documentYears() * 12), store::removeDocuments));
            entries.addAll(guests(monthsAgo(rules.guestMonths())));
            accounts.unusedSince(monthsAgo(rules.guestMonths()), AT_ONCE)
                    .forEach(email ->
                            entries.add(new Entry("account-" + marks.ofGuest(email), () -> accounts.delete(email))));
        });
        rounds.each(Kind.TIDY, entries);
    }

    private void removeBaskets(Instant before) {
        bookings.leaveBaskets(before);
        store.removeBaskets(before);
    }

    private Entry entry(String subject, Instant before, Consumer<Instant> remove) {
        return new Entry(subject, () -> transaction.executeWithoutResult(status -> remove.accept(before)));
    }

    private List<Entry> guests(Instant before) {
        return known.notSeenSince(before, clock.instant()).stream()
                .map(email -> new Entry("guest-" + marks.ofGuest(email), () -> guests.forget(email, Actor.HOUSE)))
                .toList();
    }

    /** Who would be forgotten now if guests' data were kept for so many months; no more than {@link #AT_ONCE}. */
    List<String> toForget(int months) {
        return known.notSeenSince(monthsAgo(months), clock.instant());
    }

    private Instant monthsAgo(int months) {
        return clock.instant().atOffset(ZoneOffset.UTC).minusMonths(months).toInstant();
    }
}
