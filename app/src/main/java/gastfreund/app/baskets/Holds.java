package gastfreund.app.baskets;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Hold;
import gastfreund.app.bookings.Reserved;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.openings.AddOnStock;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.WhoWaits;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.sources.Sightings;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Series;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;

/** Holds places for guests, and no more of them than is fair to others. */
@Service
public class Holds {

    /** How often a hold gets new time because the booking's time changed. */
    private static final int MOST_RENEWALS = 2;

    /** How many dates of a series lie between two of which it is asked how much of the offer is kept around them. */
    private static final int WEEKS_JUDGED = 4;

    /** How long after it first began a hold ends, whatever was changed. */
    private static final Duration LONGEST_HOLD = Duration.ofMinutes(45);

    /** The mark under which places are kept for those who have waited for them; they do not count among what is kept unpaid. */
    static final String WAITED = "waited";

    private final BookingStore bookings;
    private final BasketStore store;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final AddOnStock stock;
    private final HoldShares shares;
    private final Doorkeeper doorkeeper;
    private final Tokens tokens;
    private final Sightings sightings;
    private final ObjectProvider<WhoWaits> waiting;
    private final Clock clock;

    Holds(
            BasketStore store,
            CatalogueService catalogues,
            OpeningsService openings,
            AddOnStock stock,
            HoldShares shares,
            Doorkeeper doorkeeper,
            Tokens tokens,
            Sightings sightings,
            ObjectProvider<WhoWaits> waiting,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.stock = stock;
        this.store = store;
        this.catalogues = catalogues;
        this.openings = openings;
        this.shares = shares;
        this.doorkeeper = doorkeeper;
        this.tokens = tokens;
        this.sightings = sightings;
        this.waiting = waiting;
        this.clock = clock;
    }

    /**
     * The basket if there is one with this token, otherwise a new one; belongs into the transaction that fills it.
     *
     * @param source from where its guest came; empty: nobody knows
     */
    String orFresh(@Nullable String basket, String source) {
        if (basket != null && store.exists(basket)) {
            return basket;
        }
        String token = tokens.next();
        store.insert(token, source, clock.instant());
        if (!source.isEmpty()) {
            sightings.kept(source);
        }
        return token;
    }

    /**
     * Holds a place if it is free. The write lock is taken before anything is read, so that of two guests who want the
     * last place one gets it and the other is told. A visitor's first place costs nothing; the next ones cost a moment's
     * work, and only so much may be kept by those who have not paid.
     *
     * @param basket null where the guest has none yet
     */
    @Transactional
    public Kept keep(@Nullable String basket, KeepRequest request) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        if (basket != null && store.lines(basket).size() >= BasketService.MOST_LINES) {
            return new Kept.TooMany(basket);
        }
        serveWaiting(dateOf(request.start()));
        Optional<Answer.Entry> entry = entryAt(request, now);
        if (entry.isEmpty()) {
            return new Kept.Gone();
        }
        Answer.Judged option = assigned(request, entry.get(), now);
        if (isDearer(option, request)) {
            return new Kept.Dearer();
        }
        Reserved reserved = request.choice()
                .reserved(new BookingId(tokens.next()), entry.get().time(), option);
        if (!stock.isEnough(reserved, now)) {
            return new Kept.SoldOut();
        }
        int kept = store.countKept(request.visitor(), now);
        Doorkeeper.Verdict door = judged(request, kept);
        boolean welcome = door == Doorkeeper.Verdict.WELCOME;
        Kept.NotYet notYet = notYet(door, request);
        if (kept > 0 && !welcome) {
            return notYet;
        }
        String token = orFresh(basket, request.choice().source());
        bookings.insertHold(token, reserved, Hold.from(now, now.plus(holdTime())), request.visitor());
        HoldShares.Verdict share = shares.judge(request, now);
        boolean first = kept == 0 && share == HoldShares.Verdict.HOUSE;
        if (share != HoldShares.Verdict.ENOUGH_LEFT && !(first && welcome)) {
            return undone(first ? notYet : new Kept.TooMuch());
        }
        boolean served = kept > 0 || first;
        boolean sealed = served && !request.vouched();
        return sealed && !doorkeeper.spend(request.seal()) ? undone(new Kept.NotYet("")) : new Kept.Held(token);
    }

    /**
     * Holds all dates of a series that are to be had and are not left out, or none of them. They cost a moment's work as many
     * places of one visitor do.
     *
     * @param request its start is the first one, its price that of all
     */
    @Transactional
    public Kept keepAll(@Nullable String basket, KeepRequest request, GuestSeries series) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Series.Wish wish = series.wish(catalogues.catalogue().zone(), now);
        for (int i = 0; i < wish.times(); i++) {
            serveWaiting(dateOf(wish.start()).plusWeeks((long) i * wish.every()));
        }
        List<Series.Date> dates = series.taken(openings.series(wish));
        if (dates.isEmpty()) {
            return new Kept.Gone();
        }
        if (request.price() != null && Series.priceOf(dates).minor() != request.price()) {
            // Another sum: a date has come or gone, or costs more; the page says which.
            return new Kept.Dearer();
        }
        return holdAll(
                basket,
                request,
                dates.stream()
                        .map(d -> new Place(Objects.requireNonNull(d.time()), Objects.requireNonNull(d.option())))
                        .toList(),
                now);
    }

    /**
     * Holds several dates of a timetable, or none of them; they cost a moment's work as many places of one visitor do.
     *
     * @param wanted their starts, each with the price that was shown, in minor units
     */
    @Transactional
    public Kept keepDates(@Nullable String basket, KeepRequest request, Map<Long, Long> wanted) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        List<Place> places = new ArrayList<>();
        wanted.keySet().forEach(start -> serveWaiting(dateOf(start)));
        for (Map.Entry<Long, Long> date : wanted.entrySet()) {
            KeepRequest one = request.at(date.getKey());
            Optional<Answer.Entry> entry = entryAt(one, now);
            if (entry.isEmpty()) {
                return new Kept.Gone();
            }
            Answer.Judged option = assigned(one, entry.get(), now);
            if (option.opening().price().minor() > date.getValue()) {
                return new Kept.Dearer();
            }
            places.add(new Place(entry.get().time(), option));
        }
        return places.isEmpty() ? new Kept.Gone() : holdAll(basket, request, places, now);
    }

    /**
     * Keeps a place for somebody who has waited for it, in a basket of its own and for longer than others keep theirs.
     *
     * @param query that was asked for them
     * @param entry what it found
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Waited keepForWaiting(Choice choice, Query query, Answer.Entry entry, Instant until) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Answer.Judged option = openings.assigned(catalogues.catalogue().house(), query, entry);
        Reserved reserved = choice.reserved(new BookingId(tokens.next()), entry.time(), option);
        String token = orFresh(null, choice.source());
        bookings.insertHold(token, reserved, Hold.from(now, until), WAITED);
        return new Waited(token, reserved);
    }

    /** What is kept for somebody who has waited for it. */
    public record Waited(String basket, Reserved reserved) {}

    /** Those who wait for something that could be given away on a date get it first. */
    private void serveWaiting(LocalDate date) {
        waiting.forEach(w -> w.serve(date));
    }

    private LocalDate dateOf(long minute) {
        return catalogues.catalogue().zone().dateOf(minute);
    }

    /** What becomes of a form that keeps a place beside so many. */
    private Doorkeeper.Verdict judged(KeepRequest request, int beside) {
        if (request.vouched()) {
            return Doorkeeper.Verdict.WELCOME;
        }
        return doorkeeper.judge(
                Doorkeeper.Purpose.KEEP,
                request.visitor(),
                request.seal(),
                request.proof(),
                doorkeeper.bitsBeside(beside));
    }

    private static Kept.NotYet notYet(Doorkeeper.Verdict door, KeepRequest request) {
        return new Kept.NotYet(door == Doorkeeper.Verdict.SOON ? request.seal() : "");
    }

    private record Place(Interval time, Answer.Judged option) {}

    /** Holds all of them, or none. */
    private Kept holdAll(@Nullable String basket, KeepRequest request, List<Place> places, Instant now) {
        if (basket != null && store.lines(basket).size() + places.size() > BasketService.MOST_LINES) {
            return new Kept.TooMany(basket);
        }
        int kept = store.countKept(request.visitor(), now);
        Doorkeeper.Verdict door = judged(request, kept + places.size() - 1);
        boolean first = kept == 0 && places.size() == 1;
        if (!first && door != Doorkeeper.Verdict.WELCOME) {
            return notYet(door, request);
        }
        String token = orFresh(basket, request.choice().source());
        for (Place place : places) {
            Reserved reserved = request.choice().reserved(new BookingId(tokens.next()), place.time(), place.option());
            if (!stock.isEnough(reserved, now)) {
                return undone(new Kept.SoldOut());
            }
            bookings.insertHold(token, reserved, Hold.from(now, now.plus(holdTime())), request.visitor());
        }
        for (int i = 0; i < places.size(); i += WEEKS_JUDGED) {
            long start = places.get(i).time().start();
            if (shares.judge(request.at(start), now) != HoldShares.Verdict.ENOUGH_LEFT) {
                return undone(new Kept.TooMuch());
            }
        }
        return first || doorkeeper.spend(request.seal()) ? new Kept.Held(token) : undone(new Kept.NotYet(""));
    }

    /** Whether it costs more than the guest was shown; whoever was shown no price takes any. */
    private static boolean isDearer(Answer.Judged option, KeepRequest request) {
        return request.price() != null && option.opening().price().minor() > request.price();
    }

    /** Gives up what the current transaction has done. */
    private static Kept undone(Kept instead) {
        TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
        return instead;
    }

    /**
     * Changes a line into another choice of its offer, if that can be had; where it cannot, the line stays as it was. Who
     * serves stays the same as far as possible. The hold gets new time only where the booking's time changes, and not
     * without end.
     *
     * @param request says of its booking that its place counts as free
     */
    @Transactional
    public Kept change(String basket, BasketLine line, KeepRequest request) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        serveWaiting(dateOf(request.start()));
        Optional<Answer.Entry> entry = line.isHeld(now) ? entryAt(request, now) : Optional.empty();
        if (entry.isEmpty()) {
            return new Kept.Gone();
        }
        Answer.Judged option = entry.get().open().stream()
                .filter(o -> o.staff().equals(line.staff()) && request.choice().staff() == null)
                .findFirst()
                .orElseGet(() -> assigned(request, entry.get(), now));
        if (isDearer(option, request)) {
            return new Kept.Dearer();
        }
        Reserved reserved = request.choice().reserved(line.id(), entry.get().time(), option);
        if (!stock.isEnough(reserved, now)) {
            return new Kept.SoldOut();
        }
        boolean other = entry.get().time().start() != line.time().start();
        bookings.changeHold(basket, reserved, other ? anew(line.hold(), now) : line.hold());
        boolean first = store.countKept(request.visitor(), now) <= 1;
        return first || shares.judge(request, now) == HoldShares.Verdict.ENOUGH_LEFT
                ? new Kept.Held(basket)
                : undone(new Kept.TooMuch());
    }

    /** A hold whose time begins anew, as long as it may. */
    private Hold anew(Hold hold, Instant now) {
        if (hold.renewals() >= MOST_RENEWALS) {
            return new Hold(now, hold.expires(), hold.first(), hold.renewals());
        }
        Instant end = hold.first().plus(holdTime().compareTo(LONGEST_HOLD) > 0 ? holdTime() : LONGEST_HOLD);
        Instant wished = now.plus(holdTime());
        return new Hold(now, wished.isBefore(end) ? wished : end, hold.first(), hold.renewals() + 1);
    }

    /** Gives what a basket keeps its time anew, once; whether it did. */
    @Transactional
    public boolean extend(String basket) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        if (!store.extend(basket, now)) {
            return false;
        }
        bookings.extendBasket(basket, now, now.plus(holdTime()), LONGEST_HOLD.toSeconds());
        return true;
    }

    /** Whether what a basket keeps can be given more time: it was not yet. */
    public boolean canExtend(String basket) {
        return !store.isExtended(basket);
    }

    private Duration holdTime() {
        return Duration.ofMinutes(catalogues.catalogue().holdMinutes());
    }

    /** How many places a visitor keeps without having paid. */
    int countKept(String visitor) {
        return store.countKept(visitor, clock.instant());
    }

    private Optional<Answer.Entry> entryAt(KeepRequest request, Instant now) {
        return openings.openings(query(request, now)).entries().stream()
                .filter(e -> e.time().start() == request.start())
                .findFirst();
    }

    private Query query(KeepRequest request, Instant now) {
        LocalDate date = dateOf(request.start());
        return request.choice().query(date, date, now);
    }

    /** Who serves whoever does not mind. */
    private Answer.Judged assigned(KeepRequest request, Answer.Entry entry, Instant now) {
        return openings.assigned(catalogues.catalogue().house(), query(request, now), entry);
    }
}
