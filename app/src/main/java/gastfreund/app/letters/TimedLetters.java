package gastfreund.app.letters;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.messages.TextGateway;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.letters.Due;
import gastfreund.core.letters.QuietHours;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Letters that go some time before or after a booking ({@code docs/letters.md}). What is due is found by the clock and what is
 * booked, never by timers: after a day without power what is still of use goes out, and the rest is noted as late.
 */
@Component
public class TimedLetters {

    /** How far quiet hours can put off a letter, and bring one forward. */
    private static final Duration MOST_QUIET = Duration.ofHours(25);

    private final CatalogueService catalogues;
    private final TimedStore store;
    private final OrderStore orders;
    private final OrderLetters letters;
    private final TextGateway texts;
    private final Rounds rounds;
    private final TransactionTemplate transaction;
    private final Clock clock;

    TimedLetters(
            CatalogueService catalogues,
            TimedStore store,
            OrderStore orders,
            OrderLetters letters,
            TextGateway texts,
            Rounds rounds,
            TransactionTemplate transaction,
            Clock clock) {
        this.catalogues = catalogues;
        this.store = store;
        this.orders = orders;
        this.letters = letters;
        this.texts = texts;
        this.rounds = rounds;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** Puts what is due into the outbox, each once. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.timed:20s}")
    public void send() {
        if (catalogues.find().isPresent()) {
            List<Entry> due = due(clock.instant(), rounds.since(Kind.TIMED));
            rounds.each(Kind.TIMED, due);
            if (due.size() < TimedStore.AT_ONCE) {
                rounds.wentThrough(Kind.TIMED);
            }
        }
    }

    /** @param since when letters were last looked for */
    private List<Entry> due(Instant now, Instant since) {
        Catalogue catalogue = catalogues.catalogue();
        List<Entry> due = new ArrayList<>();
        for (Offer offer : catalogue.house().offers()) {
            for (OwnLetter letter : catalogue.extras().letters().of(offer.id())) {
                if (letter.occasion().isTimed()) {
                    for (Way way : ways(letter, catalogue)) {
                        for (TimedStore.Candidate one : candidates(offer.id(), letter, way, since, now)) {
                            state(one, letter, way.quiet(), catalogue, now)
                                    .ifPresent(state -> due.add(new Entry(
                                            one.booking().value() + " " + way.key(letter),
                                            () -> transaction.executeWithoutResult(
                                                    t -> go(one, letter, way, state, now)))));
                        }
                    }
                }
            }
        }
        return due;
    }

    /**
     * A letter that will go out.
     *
     * @param at when, in minutes since the epoch
     */
    public record Ahead(long at, BookingId booking) {}

    /** The letters of one kind that go out from now on until some time later, the soonest first. */
    public List<Ahead> ahead(OfferId offer, OwnLetter letter, Duration until) {
        Instant now = clock.instant();
        Catalogue catalogue = catalogues.catalogue();
        Way mail = new Way(false, quiet(catalogue, false));
        return candidates(offer, letter, mail, now, now.plus(until)).stream()
                .flatMap(one ->
                        due(one, letter, mail.quiet(), catalogue).stream().mapToObj(at -> new Ahead(at, one.booking())))
                .filter(a -> !Interval.instantOf(a.at()).isBefore(now)
                        && Interval.instantOf(a.at()).isBefore(now.plus(until)))
                .sorted(Comparator.comparingLong(Ahead::at))
                .toList();
    }

    /**
     * A way in which a letter goes.
     *
     * @param text whether as a text message
     * @param quiet when it does not go; null: it goes at any time
     */
    private record Way(boolean text, @Nullable QuietHours quiet) {

        /** By which what went is known: each way by itself. */
        String key(OwnLetter letter) {
            return text ? letter.id() + "+text" : letter.id();
        }
    }

    private List<Way> ways(OwnLetter letter, Catalogue catalogue) {
        List<Way> ways = new ArrayList<>();
        if (!letter.off()) {
            ways.add(new Way(false, quiet(catalogue, false)));
        }
        if (letter.texts() && !letter.people() && texts.canSend()) {
            ways.add(new Way(true, quiet(catalogue, true)));
        }
        return ways;
    }

    /** Text messages keep the quiet hours in any case. */
    private static @Nullable QuietHours quiet(Catalogue catalogue, boolean text) {
        return text || catalogue.extras().letters().quietMails()
                ? catalogue.extras().quiet().hours().orElse(null)
                : null;
    }

    private List<TimedStore.Candidate> candidates(
            OfferId offer, OwnLetter letter, Way way, Instant since, Instant now) {
        Duration apart = Duration.ofMinutes(letter.minutes());
        return letter.occasion() == Occasion.BEFORE
                ? store.starting(
                        offer,
                        way.key(letter),
                        since.minus(MOST_QUIET),
                        now.plus(apart).plus(MOST_QUIET),
                        now)
                : store.ending(
                        offer,
                        way.key(letter),
                        since.minus(apart).minus(MOST_QUIET).minus(Duration.ofMinutes(2 * Due.OF_USE)),
                        now.minus(apart),
                        now);
    }

    /** What becomes of a letter now; empty: it is not due yet. */
    private static Optional<TimedStore.State> state(
            TimedStore.Candidate one, OwnLetter letter, @Nullable QuietHours quiet, Catalogue catalogue, Instant now) {
        OptionalLong due = due(one, letter, quiet, catalogue);
        if (due.isEmpty()) {
            return Optional.of(TimedStore.State.MADE_LATER);
        }
        if (now.isBefore(Interval.instantOf(due.getAsLong()))) {
            return Optional.empty();
        }
        Instant useless = letter.occasion() == Occasion.BEFORE
                ? one.time().startInstant()
                : Interval.instantOf(due.getAsLong() + Due.OF_USE);
        return Optional.of(now.isBefore(useless) ? TimedStore.State.PUT : TimedStore.State.LATE);
    }

    private static OptionalLong due(
            TimedStore.Candidate one, OwnLetter letter, @Nullable QuietHours quiet, Catalogue catalogue) {
        return letter.occasion() == Occasion.BEFORE
                ? Due.before(
                        catalogue.zone(),
                        quiet,
                        letter.minutes(),
                        one.time().start(),
                        Interval.firstMinuteFrom(one.made()))
                : OptionalLong.of(Due.after(
                        catalogue.zone(), quiet, letter.minutes(), one.time().end()));
    }

    private void go(TimedStore.Candidate one, OwnLetter letter, Way way, TimedStore.State state, Instant now) {
        Order order = orders.byBooking(one.booking().value()).orElseThrow();
        OrderLine line = order.line(one.booking()).orElseThrow();
        boolean stands = line.time().start() == one.time().start()
                && (line.status() == BookingStatus.CONFIRMED || line.status() == BookingStatus.COMPLETED);
        if (stands
                && store.note(one.booking(), way.key(letter), one.time().start(), state, now)
                && state == TimedStore.State.PUT) {
            letters.timed(order, line, letter, way.text());
        }
    }
}
