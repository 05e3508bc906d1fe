package gastfreund.app.wishes;

import gastfreund.app.baskets.Holds;
import gastfreund.app.bookings.BookedStore;
import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.letters.PlaceFreeLetters;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.WhoWaits;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.bookings.Booked;
import gastfreund.core.letters.QuietHours;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Query;
import gastfreund.core.time.Interval;
import gastfreund.core.wishes.WaitingList;
import gastfreund.core.wishes.Wish;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The waiting list. What comes free goes to the first wish that it fits, by the core's {@link WaitingList}: in a round that
 * follows every change, and before anything of a date is given to somebody else, so that nobody comes between.
 */
@Service
public class Wishes implements WhoWaits {

    private static final Logger LOG = LoggerFactory.getLogger(Wishes.class);

    /** How many wishes of a mail address wait at once. */
    static final int MOST_OF_ONE = 8;

    /** So often one address is told where its wish can be looked at: anybody can write anybody's address into a form. */
    private static final Duration APART = Duration.ofMinutes(10);

    private final WishStore store;
    private final Holds holds;
    private final BookedStore booked;
    private final BookingStore bookings;
    private final CatalogueService catalogues;
    private final PlaceFreeLetters letters;
    private final Outbox outbox;
    private final Tokens tokens;
    private final Clock clock;

    Wishes(
            WishStore store,
            Holds holds,
            BookedStore booked,
            BookingStore bookings,
            CatalogueService catalogues,
            PlaceFreeLetters letters,
            Outbox outbox,
            Tokens tokens,
            Clock clock) {
        this.store = store;
        this.holds = holds;
        this.booked = booked;
        this.bookings = bookings;
        this.catalogues = catalogues;
        this.letters = letters;
        this.outbox = outbox;
        this.tokens = tokens;
        this.clock = clock;
    }

    /**
     * Puts a wish at the end of the list.
     *
     * @param letter which says where it can be looked at; it goes once in a while to one address, whoever asks
     * @return whether there was room for one more of this mail address
     */
    @Transactional
    boolean join(Wish wish, String guest, String email, Locale language, String source, Letter letter) {
        if (store.of(email).size() >= MOST_OF_ONE) {
            return false;
        }
        store.insert(wish, guest, email, language, source, clock.instant());
        outbox.putUnlessLately(letter, APART);
        serve(clock.instant(), null);
        return true;
    }

    /**
     * Puts a wish that has ended at the end of the list once more.
     *
     * @return the token of the new one; empty where it has not ended, or too many of its guest wait
     */
    @Transactional
    Optional<String> again(Waiting old) {
        boolean waits = old.state() == Waiting.State.WAITING || old.state() == Waiting.State.OFFERED;
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        if (waits || old.wish().to().isBefore(today) || store.of(old.email()).size() >= MOST_OF_ONE) {
            return Optional.empty();
        }
        Wish wish = old.wish().as(tokens.next());
        store.insert(wish, old.guest(), old.email(), old.language(), old.source(), clock.instant());
        serve(clock.instant(), null);
        return Optional.of(wish.id());
    }

    /** Whether anybody waits, or something is kept for somebody. */
    boolean isAnybody() {
        return store.hasAny();
    }

    /** Forgets what a mail address wished, and gives back what is kept for it. */
    @Transactional
    public void forget(String email) {
        store.of(email).forEach(w -> leave(w.token()));
        store.forget(email);
    }

    /** Forgets wishes that ended before an instant. */
    @Transactional
    public void forgetEnded(Instant before) {
        store.deleteEnded(before);
    }

    /** Takes a wish off the list, and gives back what was kept for it. */
    @Transactional
    void leave(String token) {
        Instant now = clock.instant();
        store.find(token)
                .filter(w -> w.state() == Waiting.State.WAITING || w.state() == Waiting.State.OFFERED)
                .ifPresent(w -> {
                    Waiting.Offered offered = w.offered();
                    if (w.state() == Waiting.State.OFFERED && offered != null) {
                        bookings.release(offered.basket(), offered.booking());
                    }
                    store.become(token, Waiting.State.LEFT, now);
                    serve(now, null);
                });
    }

    /**
     * How many wait for the same offer on some of the same dates and get what comes free before this one.
     *
     * @return 0 for the first in turn
     */
    int ahead(Waiting one) {
        return (int) store.waiting().stream()
                .filter(w -> w.turn() < one.turn())
                .filter(w -> w.wish().offer().equals(one.wish().offer()))
                .filter(w -> !w.wish().from().isAfter(one.wish().to())
                        && !w.wish().to().isBefore(one.wish().from()))
                .count();
    }

    /** Changes the turns of a wish and of the one before or after it that waits for the same offer. */
    @Transactional
    void move(String token, boolean up) {
        List<Waiting> all = store.waiting();
        Optional<Waiting> one =
                all.stream().filter(w -> w.token().equals(token)).findFirst();
        if (one.isEmpty()) {
            return;
        }
        List<Waiting> same = all.stream()
                .filter(w -> w.wish().offer().equals(one.get().wish().offer()))
                .toList();
        int other = same.indexOf(one.get()) + (up ? -1 : 1);
        if (other >= 0 && other < same.size()) {
            store.turn(token, same.get(other).turn());
            store.turn(same.get(other).token(), one.get().turn());
        }
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public void serve(LocalDate date) {
        serve(clock.instant(), date);
    }

    /** Goes through the whole list. */
    @Transactional
    void serveAll() {
        serve(clock.instant(), null);
    }

    /** @param date beside which something is about to be given away; null: the whole list is gone through */
    private void serve(Instant now, @Nullable LocalDate date) {
        if (!store.hasAny()) {
            return;
        }
        store.ended(now)
                .forEach(e -> store.become(e.token(), e.taken() ? Waiting.State.TAKEN : Waiting.State.LAPSED, now));
        if (catalogues.catalogue().wishMinutes() == 0) {
            return;
        }
        House house = catalogues.catalogue().house();
        LocalDate today = house.zone().dateOf(now);
        List<Waiting> all = new ArrayList<>(store.waiting());
        for (Waiting waiting : List.copyOf(all)) {
            if (waiting.wish().to().isBefore(today)) {
                store.become(waiting.token(), Waiting.State.OVER, now);
                all.remove(waiting);
            }
        }
        if (date != null) {
            // What begins the day before may reach into the date, and what begins on it into the next.
            all.removeIf(w ->
                    w.wish().from().isAfter(date.plusDays(1)) || w.wish().to().isBefore(date.minusDays(1)));
        }
        while (!all.isEmpty()) {
            List<Wish> wishes = all.stream().map(Waiting::wish).toList();
            Interval reach = WaitingList.reach(house, wishes, now);
            Booked taken = booked.touching(reach, now);
            Optional<WaitingList.Fit> fit = WaitingList.first(house, taken, wishes, now);
            if (fit.isEmpty()) {
                return;
            }
            Waiting first = all.get(wishes.indexOf(fit.get().wish()));
            keep(first, fit.get(), now);
            all.remove(first);
        }
    }

    private void keep(Waiting waiting, WaitingList.Fit fit, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        Interval time = fit.entry().time();
        Instant until = until(now, time);
        Holds.Waited kept =
                holds.keepForWaiting(choice(waiting, fit.query(), catalogue), fit.query(), fit.entry(), until);
        store.offer(
                waiting.token(),
                new Waiting.Offered(kept.basket(), kept.reserved().id(), until),
                now);
        Money price = fit.entry().open().stream()
                .filter(o -> o.staff().equals(kept.reserved().staff()))
                .map(o -> o.opening().price())
                .findFirst()
                .orElseThrow();
        letters.put(new PlaceFreeLetters.Free(
                waiting.guest(),
                waiting.email(),
                waiting.language(),
                kept.reserved(),
                price,
                until,
                "/wishes/" + waiting.token()));
        LOG.info("wish {} gets {} at {}", waiting.token(), kept.reserved().offer(), time);
    }

    /** So long as the house has set, quiet hours not counted, and no longer than to the start. */
    private Instant until(Instant now, Interval time) {
        Catalogue catalogue = catalogues.catalogue();
        long minute = Interval.firstMinuteFrom(now);
        long minutes = catalogue.wishMinutes();
        Optional<QuietHours> quiet = catalogue.extras().quiet().hours();
        long later = quiet.map(q -> q.later(minute, minutes, catalogue.zone())).orElse(minute + minutes);
        return Instant.ofEpochSecond(Math.min(later, time.start()) * 60).truncatedTo(ChronoUnit.SECONDS);
    }

    private static Choice choice(Waiting waiting, Query query, Catalogue catalogue) {
        Offer offer = catalogue.offer(waiting.wish().offer());
        LengthId length = query.length();
        StaffId staff = query.staff();
        PlaceId place = query.place();
        Choice.Asked asked = new Choice.Asked(
                Integer.toString(waiting.wish().party()),
                length == null ? null : length.value(),
                length == null ? null : Integer.toString(query.units()),
                null,
                staff == null ? null : staff.value(),
                place == null ? null : place.value(),
                null,
                null);
        return Choice.of(catalogue.house(), offer, asked).comingFrom(waiting.source());
    }

    Optional<Waiting> find(String token) {
        return store.find(token).filter(this::isKnown);
    }

    /** Whether the house still has its offer. */
    private boolean isKnown(Waiting waiting) {
        return catalogues.catalogue().house().offer(waiting.wish().offer()).isPresent();
    }

    /** How many wait. */
    public int count() {
        return waiting().size();
    }

    /** Those that wait, in turn. */
    List<Waiting> waiting() {
        return store.waiting().stream().filter(this::isKnown).toList();
    }

    /** Those for which something is kept. */
    List<Waiting> offered() {
        return store.offered().stream().filter(this::isKnown).toList();
    }
}
