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
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Verdict;
import gastfreund.core.orders.Sold;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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

    /** How many units of a length are tried at most. */
    private static final int MOST_UNITS = 24;

    private final BookingStore bookings;
    private final OrderStore store;
    private final BookingJournal journal;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Endings endings;
    private final OrderLetters letters;
    private final Documents documents;
    private final PrepaidService prepaid;
    private final Undos undos;
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
            Undos undos,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.documents = documents;
        this.prepaid = prepaid;
        this.undos = undos;
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
     * @param grace whether it can be taken back for a while, in which no letter goes
     */
    public record Wish(
            Audience by,
            long start,
            Target target,
            Money shown,
            boolean keepPrice,
            boolean tell,
            boolean grace,
            Actor who) {

        static Wish ofGuest(long start, Money shown) {
            return byTheTerms(start, shown, Actor.GUEST);
        }

        /** @param who the guest, or a program that acts for one */
        public static Wish byTheTerms(long start, Money shown, Actor who) {
            return new Wish(Audience.GUEST, start, Target.ANYONE, shown, false, true, false, who);
        }
    }

    /** How long a booking is to be: a length as it is sold, and how many of its units. */
    public record Size(Length length, int units) {

        boolean isOf(OrderLine line) {
            return length.id().equals(line.length()) && units == line.units();
        }
    }

    /**
     * With whom a booking is to be, and how long.
     *
     * @param person who serves then, perhaps with others; null: whoever would be given to a guest
     * @param inSpite whether it is moved though something stands against it; for the house alone
     * @param size null: as long as it is
     */
    public record Target(@Nullable StaffId person, boolean inSpite, @Nullable Size size) {

        public static final Target ANYONE = new Target(null, false);

        public Target(@Nullable StaffId person, boolean inSpite) {
            this(person, inSpite, null);
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
        return choice(order, line, by, null);
    }

    /** The same, longer or shorter. */
    private Optional<Choice> choice(Order order, OrderLine line, Audience by, @Nullable Size size) {
        String address = by == Audience.GUEST
                ? "/bookings/" + order.token() + "/lines/" + line.booking() + "/move"
                : "/desk/orders/" + order.number() + "/bookings/" + line.booking() + "/move";
        House house = catalogues.catalogue().house();
        Offer now = catalogues.catalogue().offer(line.offer());
        return line.sold()
                .within(now, line.units(), line.party())
                .filter(offer -> size == null || sells(offer, line, size))
                .map(offer -> Choice.moving(
                        offer,
                        line.party(),
                        size == null ? line.length() : size.length().id(),
                        size == null ? line.units() : size.units(),
                        line.addOns(),
                        place(house, offer, line.place()),
                        new Choice.Moving(address, line.booking(), true, by)));
    }

    /** Whether an offer has that length. What a pass pays stays as long as it is, and so do dates of a timetable. */
    private static boolean sells(Offer offer, OrderLine line, Size size) {
        return !offer.hasTimetable()
                && !line.covered().isPositive()
                && offer.lengths().stream()
                        .anyMatch(l -> l.id().equals(size.length().id()) && l.sells(size.units()));
    }

    /** A length that a booking could have; empty where there is none of that name. */
    Optional<Size> size(Order order, OrderLine line, LengthId length, int units) {
        return choice(order, line, Audience.DESK).stream()
                .flatMap(c -> c.offer().lengths().stream())
                .filter(l -> l.id().equals(length) && l.sells(units))
                .map(l -> new Size(l, units))
                .findFirst();
    }

    /**
     * How long a booking could be from its start on, with those who serve it now.
     *
     * @param option what stands against it
     */
    record Sized(Size size, Interval time, Answer.Judged option) {}

    /** All that it could last, the shortest first. */
    List<Sized> sizes(Order order, OrderLine line) {
        Optional<Choice> now = mayMove(line, Audience.DESK) ? choice(order, line, Audience.DESK) : Optional.empty();
        List<Sized> sizes = new ArrayList<>();
        for (Length length : now.map(c -> c.offer().lengths()).orElse(List.of())) {
            for (int units = 1; units <= MOST_UNITS; units++) {
                if (length.sells(units)) {
                    sized(order, line, new Size(length, units)).ifPresent(sizes::add);
                }
            }
        }
        return sizes.stream().sorted(Comparator.comparing(s -> s.time().end())).toList();
    }

    private Optional<Sized> sized(Order order, OrderLine line, Size size) {
        long start = line.time().start();
        LocalDate date = catalogues.catalogue().zone().dateOf(start);
        return choice(order, line, Audience.DESK, size)
                .flatMap(c -> openings
                        .explain(c.within(catalogues.catalogue().house()), c.query(date, date, clock.instant()))
                        .entries()
                        .stream()
                        .filter(e -> e.time().start() == start)
                        .flatMap(e -> e.options().stream()
                                .filter(o -> o.staff().equals(line.reserved().staff()))
                                .map(o -> new Sized(size, e.time(), o)))
                        .findFirst());
    }

    /** Where it was booked, unless that is given up; null where the offer has no place. */
    private static @Nullable PlaceId place(House house, Offer offer, @Nullable PlaceId booked) {
        boolean stays = booked != null
                && offer.isAt(booked)
                && !house.retired().places().contains(booked);
        return stays ? booked : house.placesOf(offer).stream().findFirst().orElse(null);
    }

    /** What a move to a start would do; empty where it cannot be had. */
    public Optional<Proposal> proposal(Order order, OrderLine line, long start, Target target, Audience by) {
        return proposal(order, line, start, target, by, Set.of());
    }

    /**
     * The same once others have been moved away.
     *
     * @param away the bookings whose places are free then
     */
    Optional<Proposal> proposal(
            Order order, OrderLine line, long start, Target target, Audience by, Set<BookingId> away) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        LocalDate date = catalogue.zone().dateOf(start);
        Size size = target.size();
        Optional<Choice> choice = choice(order, line, by, size);
        boolean stays = start == line.time().start()
                && (size == null || size.isOf(line))
                && (target.person() == null || line.reserved().staff().contains(target.person()));
        if (choice.isEmpty() || stays || target.inSpite() && by == Audience.GUEST) {
            return Optional.empty();
        }
        House house = choice.get().within(catalogue.house());
        Set<BookingId> free = new HashSet<>(away);
        free.add(line.booking());
        Query query = choice.get().query(date, date, now).without(free);
        Answer answer = target.inSpite() ? openings.explain(house, query) : openings.openings(house, query);
        return answer.entries().stream()
                .filter(e -> e.time().start() == start)
                .filter(e -> isWithinPass(line, catalogue.zone().dateOf(e.time().start())))
                .flatMap(e -> option(house, query, e, target).stream()
                        .map(o -> proposal(line, e.time(), o, price(choice.get(), start, o, now), by)))
                .findFirst();
    }

    /** Who serves: the person who is wanted, or whoever would be given to a guest. */
    private Optional<Answer.Judged> option(House house, Query query, Answer.Entry entry, Target target) {
        if (target.person() != null) {
            return entry.options().stream()
                    .filter(o -> o.staff().contains(target.person()))
                    .min(Comparator.comparing(o -> !o.isOpen()));
        }
        return entry.isOpen()
                ? Optional.of(openings.assigned(house, query, entry))
                : entry.options().stream().findFirst();
    }

    /** What it costs then, whether something stands against it or not. */
    private Money price(Choice choice, long start, Answer.Judged option, Instant now) {
        return option.isOpen()
                ? option.opening().price()
                : choice.line(start, option, now, catalogues.catalogue().zone())
                        .price()
                        .amount();
    }

    /** Where else a booking could be from one date to another, with what stands against it; empty where nowhere. */
    List<Answer.Entry> places(Order order, OrderLine line, LocalDate from, LocalDate to) {
        Optional<Choice> choice = mayMove(line, Audience.DESK) ? choice(order, line, Audience.DESK) : Optional.empty();
        if (choice.isEmpty()) {
            return List.of();
        }
        House house = choice.get().within(catalogues.catalogue().house());
        return openings.explain(house, choice.get().query(from, to, clock.instant()))
                .entries();
    }

    /** The times that a host could give a booking from one date to another (both inclusive). */
    public List<Answer.Entry> openings(Order order, OrderLine line, LocalDate from, LocalDate to) {
        return openings(order, line, from, to, Audience.DESK);
    }

    /** The times that a booking could be given by somebody. */
    public List<Answer.Entry> openings(Order order, OrderLine line, LocalDate from, LocalDate to, Audience by) {
        return (mayMove(line, by) ? choice(order, line, by) : Optional.<Choice>empty())
                .map(c -> openings.openings(
                                c.within(catalogues.catalogue().house()), c.query(from, to, clock.instant()))
                        .entries())
                .orElse(List.of());
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
    private Proposal proposal(OrderLine line, Interval time, Answer.Judged option, Money price, Audience by) {
        boolean byGuest = by == Audience.GUEST;
        Money floor = byGuest ? endings.proposal(line, Terms.By.GUEST).keep() : line.floor();
        // What a pass pays for stays with the pass, whatever the units cost then.
        Money priced = line.covered().isPositive()
                ? line.total()
                : price.minus(line.discount()).notBelowZero();
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
        Optional<Proposal> found = mayMove(line, wish.by())
                ? proposal(current, line, wish.start(), wish.target(), wish.by())
                : Optional.empty();
        if (found.isEmpty() || !found.get().total().equals(wish.shown())) {
            return Outcome.CHANGED;
        }
        Proposal proposal = wish.keepPrice() ? atOldPrice(line, found.get()) : found.get();
        if (wish.grace() && proposal.back().isZero()) {
            undos.keep(current, line, clock.instant());
        }
        Order after = carryOut(current, line, proposal, wish);
        letters.moved(
                after,
                List.of(after.line(booking).orElseThrow()),
                proposal.back(),
                wish.by() == Audience.GUEST,
                wish.tell());
        if (wish.grace()) {
            letters.waitAfterMove(current, Undos.GRACE);
        }
        return Outcome.DONE;
    }

    /** Whether the last move of a booking can still be taken back. */
    public boolean canBeTakenBack(BookingId booking) {
        return undos.of(booking, clock.instant()).isPresent();
    }

    /** Takes the last move of a booking back, with its letters, as long as they have not gone. */
    @Transactional
    public Outcome takeBack(Order order, BookingId booking, Actor who) {
        Optional<Undos.Before> found = undos.of(booking, clock.instant());
        if (found.isEmpty()) {
            return Outcome.CHANGED;
        }
        Order current = store.byId(order.id()).orElseThrow();
        OrderLine line = current.line(booking).orElseThrow();
        Undos.Before before = found.get();
        undos.forget(booking);
        if (!line.canBeCancelled()) {
            return Outcome.CHANGED;
        }
        Money back = line.paid().minus(line.askedAt(before.total())).notBelowZero();
        Answer.Judged as =
                new Answer.Judged(before.staff(), before.place(), new Verdict.Open(0, before.total(), false));
        Proposal proposal =
                new Proposal(before.time(), as, before.total(), back, Money.ZERO, line.floor(), line.visitsKept());
        Order after = carryOut(
                current,
                line,
                proposal,
                new Wish(
                        Audience.DESK,
                        before.time().start(),
                        new Target(null, true, before.size()),
                        before.total(),
                        false,
                        false,
                        false,
                        who));
        letters.moved(after, List.of(after.line(booking).orElseThrow()), back, false, false);
        letters.withdrawAfterMove(current, before.since());
        return Outcome.DONE;
    }

    /** Moves a booking; telling of it is left to whoever calls this, in the same transaction. */
    Order carryOut(Order current, OrderLine line, Proposal proposal, Wish wish) {
        BookingId booking = line.booking();
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
        Size size = wish.target().size();
        if (size != null) {
            bookings.setLength(booking, size.length().id(), size.units());
        }
        Sold sold = (size == null ? line.sold() : line.sold().lasting(size.length()))
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
        Order after = store.byId(current.id()).orElseThrow();
        OrderLine moved = after.line(booking).orElseThrow();
        if (receipted && proposal.more().isPositive()) {
            documents.receiptOfMore(after, moved, proposal.more());
        }
        return after;
    }

    private LocalDate balanceDue(OrderLine line, Proposal proposal, Instant now) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate today = catalogue.zone().dateOf(now);
        int daysBefore = line.sold().payment().balanceDaysBefore().orElse(0);
        LocalDate due = catalogue.zone().dateOf(proposal.time().start()).minusDays(daysBefore);
        return due.isBefore(today) ? today : due;
    }
}
