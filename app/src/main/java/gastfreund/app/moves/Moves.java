package gastfreund.app.moves;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.documents.Documents;
import gastfreund.app.endings.Endings;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.orders.BookingJournal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.orders.Outcome;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.orders.Sold;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Moves of bookings to another time: by their guests as far as the terms let them, by the house as it likes. */
@Service
public class Moves {

    /**
     * What a move would do.
     *
     * @param total of the line after it: the new price less the discount that the line had
     * @param back what comes back at once
     * @param more what is to be paid in addition
     * @param floor what a later cancellation by the guest keeps at least
     * @param visits whether the visits of a pass are used up from then on
     */
    public record Proposal(
            Interval time, Answer.Judged option, Money total, Money back, Money more, Money floor, boolean visits) {}

    private final BookingStore bookings;
    private final OrderStore store;
    private final BookingJournal journal;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Endings endings;
    private final OrderLetters letters;
    private final Documents documents;
    private final PrepaidService prepaid;
    private final Clock clock;

    Moves(
            OrderStore store,
            BookingJournal journal,
            CatalogueService catalogues,
            OpeningsService openings,
            Endings endings,
            OrderLetters letters,
            Documents documents,
            PrepaidService prepaid,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.documents = documents;
        this.prepaid = prepaid;
        this.store = store;
        this.journal = journal;
        this.catalogues = catalogues;
        this.openings = openings;
        this.endings = endings;
        this.letters = letters;
        this.clock = clock;
    }

    /**
     * A wish to move a booking.
     *
     * @param start in minutes since the epoch
     * @param shown what the line was said to cost then
     * @param keepPrice whether it costs what it did, whatever the new time costs; for the house alone
     * @param tell whether the guest gets a mail
     */
    public record Wish(Audience by, long start, Money shown, boolean keepPrice, boolean tell, Actor who) {

        static Wish ofGuest(long start, Money shown) {
            return new Wish(Audience.GUEST, start, shown, false, true, Actor.GUEST);
        }
    }

    /** Whether a booking may be moved now. */
    public boolean mayMove(OrderLine line, Audience by) {
        return by == Audience.GUEST ? mayMove(line) : line.canBeCancelled();
    }

    /** Whether a guest may move the booking now. */
    public boolean mayMove(OrderLine line) {
        return line.status() == BookingStatus.CONFIRMED
                && line.sold().terms().mayMove(line.time().startInstant(), clock.instant());
    }

    LocalDate dateOf(OrderLine line) {
        return catalogues.catalogue().zone().dateOf(line.time().start());
    }

    /** The choice of another time for a line, from the offer of now with what was sold; empty where it is none any more. */
    Optional<Choice> choice(Order order, OrderLine line, Audience by) {
        String address = by == Audience.GUEST
                ? "/bookings/" + order.token() + "/lines/" + line.booking() + "/move"
                : "/desk/orders/" + order.number() + "/bookings/" + line.booking() + "/move";
        House house = catalogues.catalogue().house();
        Offer now = catalogues.catalogue().offer(line.offer());
        return line.sold()
                .within(now, line.units(), line.party())
                .map(offer -> Choice.moving(
                        offer,
                        line.party(),
                        line.length(),
                        line.units(),
                        line.addOns(),
                        place(house, offer, line.place()),
                        new Choice.Moving(address, line.booking(), true, by)));
    }

    /** Where it was booked, unless that is given up; null where the offer has no place. */
    private static @Nullable PlaceId place(House house, Offer offer, @Nullable PlaceId booked) {
        boolean stays = booked != null
                && offer.isAt(booked)
                && !house.retired().places().contains(booked);
        return stays ? booked : house.placesOf(offer).stream().findFirst().orElse(null);
    }

    /** What a move to a start would do; empty where it cannot be had. */
    public Optional<Proposal> proposal(Order order, OrderLine line, long start, Audience by) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        LocalDate date = catalogue.zone().dateOf(start);
        Optional<Choice> choice = choice(order, line, by);
        if (choice.isEmpty()) {
            return Optional.empty();
        }
        House house = choice.get().within(catalogue.house());
        Query query = choice.get().query(date, date, now);
        return openings.openings(house, query).entries().stream()
                .filter(e -> e.time().start() == start && start != line.time().start())
                .findFirst()
                .filter(e -> isWithinPass(line, catalogue.zone().dateOf(e.time().start())))
                .map(entry -> proposal(line, entry.time(), openings.assigned(house, query, entry), by));
    }

    /** The same move at the price that the booking had. */
    private static Proposal atOldPrice(OrderLine line, Proposal proposal) {
        return new Proposal(
                proposal.time(),
                proposal.option(),
                line.total(),
                Money.ZERO,
                Money.ZERO,
                proposal.floor(),
                proposal.visits());
    }

    /** A pass pays for visits until its last day. */
    private boolean isWithinPass(OrderLine line, LocalDate date) {
        return prepaid.passOf(line.booking())
                .map(p -> !date.isAfter(p.lastDay()))
                .orElse(true);
    }

    /**
     * What a cancellation at this moment would have kept goes along with a guest who moves ({@code docs/money.md}, "Terms"):
     * it is the least that a later one keeps, and a cheaper price gives nothing back below it.
     */
    private Proposal proposal(OrderLine line, Interval time, Answer.Judged option, Audience by) {
        boolean byGuest = by == Audience.GUEST;
        Money floor = byGuest ? endings.proposal(line, Terms.By.GUEST).keep() : line.floor();
        // What a pass pays for stays with the pass, whatever the units cost then.
        Money priced = line.covered().isPositive()
                ? line.total()
                : option.opening().price().minus(line.discount()).notBelowZero();
        Money total = byGuest ? priced.atLeast(floor) : priced;
        Money back = line.paid().minus(line.askedAt(total)).notBelowZero();
        Money more = total.minus(line.total()).notBelowZero();
        boolean visits = line.visitsKept() || byGuest && line.covered().isPositive() && !endings.givesVisitsBack(line);
        return new Proposal(time, option, total, back, more, floor, visits);
    }

    /** Moves a booking. */
    @Transactional
    public Outcome move(Order order, BookingId booking, Wish wish) {
        Order current = store.byId(order.id()).orElseThrow();
        OrderLine line = current.line(booking).orElseThrow();
        Optional<Proposal> found =
                mayMove(line, wish.by()) ? proposal(current, line, wish.start(), wish.by()) : Optional.empty();
        if (found.isEmpty() || !found.get().total().equals(wish.shown())) {
            return Outcome.CHANGED;
        }
        Proposal proposal = wish.keepPrice() ? atOldPrice(line, found.get()) : found.get();
        Instant now = clock.instant();
        // What is put aside for a request is as good as paid.
        Money has = line.status() == BookingStatus.REQUESTED ? line.dueNow() : line.paid();
        Money asked = line.askedAt(proposal.total());
        Money left = asked.minus(has).notBelowZero();
        bookings.move(
                booking,
                proposal.time(),
                proposal.option().place(),
                proposal.option().staff(),
                now);
        Sold sold = line.sold()
                .at(
                        proposal.option().place(),
                        proposal.option().staff(),
                        catalogues.catalogue().house());
        store.reprice(booking, proposal.total(), left, balanceDue(line, proposal, now), sold);
        store.keepAtLeast(booking, proposal.floor(), proposal.visits());
        if (proposal.back().isPositive()) {
            endings.giveBack(current, line, proposal.back(), Cause.MOVED.code());
        }
        boolean receipted = line.status() == BookingStatus.CONFIRMED;
        if (receipted) {
            documents.creditNote(current, line, line.asked().minus(asked), proposal.back());
        }
        String why = Cause.MOVED.with(catalogues
                .catalogue()
                .zone()
                .localOf(line.time().start())
                .toString()
                .replace('T', ' '));
        journal.note(current, line, wish.who(), why, now);
        Order after = store.byId(order.id()).orElseThrow();
        OrderLine moved = after.line(booking).orElseThrow();
        if (receipted && proposal.more().isPositive()) {
            documents.receiptOfMore(after, moved, proposal.more());
        }
        letters.moved(after, moved, proposal.back(), wish.by() == Audience.GUEST, wish.tell());
        return Outcome.DONE;
    }

    private LocalDate balanceDue(OrderLine line, Proposal proposal, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate today = catalogue.zone().dateOf(now);
        int daysBefore = line.sold().payment().balanceDaysBefore().orElse(0);
        LocalDate due = catalogue.zone().dateOf(proposal.time().start()).minusDays(daysBefore);
        return due.isBefore(today) ? today : due;
    }
}
