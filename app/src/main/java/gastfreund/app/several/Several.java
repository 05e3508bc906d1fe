package gastfreund.app.several;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Host;
import gastfreund.app.moves.Moves;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.orders.Outcome;
import gastfreund.app.orders.Sight;
import gastfreund.app.talks.Talks;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.openings.Verdict;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import org.springframework.transaction.support.TransactionTemplate;

/** Does something with several bookings at once: looked at first, and then done, each in a transaction of its own. */
@Service
public class Several {

    /** How many can be chosen at once. */
    static final int MOST = 100;

    private static final int DAYS_AHEAD = 14;
    private static final int MOST_LATER = 4;
    private static final int YEARS_AHEAD = 3;

    private final SeveralStore store;
    private final Orders orders;
    private final Moves moves;
    private final Endings endings;
    private final Talks talks;
    private final CatalogueService catalogues;
    private final Sight sight;
    private final TransactionTemplate each;
    private final Clock clock;

    Several(
            SeveralStore store,
            Orders orders,
            Moves moves,
            Endings endings,
            Talks talks,
            CatalogueService catalogues,
            Sight sight,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.clock = clock;
        this.each = new TransactionTemplate(transactions);
        this.each.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.store = store;
        this.orders = orders;
        this.moves = moves;
        this.endings = endings;
        this.talks = talks;
        this.catalogues = catalogues;
        this.sight = sight;
    }

    /**
     * One of them.
     *
     * @param free who could take over at the same time
     * @param later other times at which it could be
     */
    public record One(Order order, OrderLine line, List<Staff> free, List<Later> later) {}

    /**
     * Another time for one of them.
     *
     * @param start in minutes since the epoch
     * @param person who would serve it; null where nobody serves it alone
     */
    public record Later(long start, @Nullable StaffId person) {}

    /** A wish for one of them. */
    public record Wish(BookingId booking, Doing doing) {}

    /**
     * Something that cannot be done as it is wished.
     *
     * @param reasons what stands against it; empty: there is no such time at all
     */
    public record Hindered(BookingId booking, Interval time, List<Reason> reasons) {}

    /** What somebody serves on a day. */
    List<BookingId> of(StaffId person, LocalDate day) {
        var zone = catalogues.catalogue().zone();
        return store.ofPerson(person, Interval.between(zone.startOf(day), zone.startOf(day.plusDays(1))), MOST);
    }

    /** What a host sees of some bookings, as far as anything can be done with them. */
    public List<One> look(List<BookingId> bookings, Host host) {
        Set<Later> taken = new HashSet<>();
        return bookings.stream()
                .distinct()
                .limit(MOST)
                .flatMap(b -> orders.byBooking(b).stream().flatMap(o -> o.line(b).stream()
                        .filter(OrderLine::canBeCancelled)
                        .filter(l -> sight.sees(host, l.offer(), l.reserved().staff()))
                        .map(l -> new One(o, l, free(o, l), later(o, l, taken)))))
                .toList();
    }

    private List<Staff> free(Order order, OrderLine line) {
        Offer offer = catalogues.catalogue().offer(line.offer());
        if (line.reserved().staff().size() != 1) {
            return List.of();
        }
        return offer.serving().of().stream()
                .filter(p -> !line.reserved().staff().contains(p))
                .filter(p -> moves.proposal(order, line, line.time().start(), new Moves.Target(p, false), Audience.DESK)
                        .isPresent())
                .map(p -> catalogues.catalogue().house().staff(p))
                .toList();
    }

    /**
     * Times on the days after, one a day: the nearest to the time of day that it has, with those who serve it now where they
     * can, and none that another was offered.
     */
    private List<Later> later(Order order, OrderLine line, Set<Later> taken) {
        HouseZone zone = catalogues.catalogue().zone();
        LocalDate day = zone.dateOf(Math.max(line.time().start(), clock.millis() / 60_000));
        LocalTime usual = zone.localOf(line.time().start()).toLocalTime();
        Map<LocalDate, Answer.Entry> nearest = new TreeMap<>();
        for (Answer.Entry entry : moves.openings(order, line, day.plusDays(1), day.plusDays(DAYS_AHEAD))) {
            if (!taken.contains(later(line, entry))) {
                nearest.merge(
                        zone.dateOf(entry.time().start()),
                        entry,
                        (a, b) -> away(b, usual, zone) < away(a, usual, zone) ? b : a);
            }
        }
        List<Later> later = nearest.values().stream()
                .limit(MOST_LATER)
                .map(e -> later(line, e))
                .toList();
        taken.addAll(later);
        return later;
    }

    private static long away(Answer.Entry entry, LocalTime usual, HouseZone zone) {
        return Math.abs(ChronoUnit.MINUTES.between(
                usual, zone.localOf(entry.time().start()).toLocalTime()));
    }

    private static Later later(OrderLine line, Answer.Entry entry) {
        List<List<StaffId>> served = entry.options().stream()
                .filter(Answer.Judged::isOpen)
                .map(Answer.Judged::staff)
                .toList();
        List<StaffId> staff = served.contains(line.reserved().staff())
                ? line.reserved().staff()
                : served.stream().findFirst().orElse(List.of());
        return new Later(entry.time().start(), staff.size() == 1 ? staff.get(0) : null);
    }

    /** What is done with each, in the order in which the one makes room for the other: what is moved farther goes first. */
    private List<Wish> inOrder(List<Wish> wishes) {
        return wishes.stream()
                .sorted(Comparator.comparing((Wish w) -> w.doing().kind() == Doing.Kind.MOVE)
                        .thenComparing(this::turn))
                .toList();
    }

    /** Those that become later from the last one on, those that become earlier from the first one on. */
    private long turn(Wish wish) {
        long now = orders.byBooking(wish.booking())
                .flatMap(o -> o.line(wish.booking()))
                .map(l -> l.time().start())
                .orElse(0L);
        return wish.doing().start() > now ? -now : now;
    }

    /** What of it could not be done. It is tried, in one transaction, and all of it is undone. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public List<Hindered> check(List<Wish> wishes, String words, Host host) {
        List<Hindered> hindered = new ArrayList<>();
        for (Wish wish : inOrder(wishes)) {
            if (!carryOutOne(wish, words, host)) {
                hindered.add(hindered(wish));
            }
        }
        TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
        return hindered;
    }

    private Hindered hindered(Wish wish) {
        Order order = orders.byBooking(wish.booking()).orElseThrow();
        OrderLine line = order.line(wish.booking()).orElseThrow();
        boolean moved = wish.doing().kind() == Doing.Kind.MOVE;
        long start = moved ? wish.doing().start() : line.time().start();
        if (moved && !isInReach(start)) {
            return new Hindered(wish.booking(), line.time(), List.of());
        }
        Interval time = Interval.between(start, start + line.time().length().count());
        List<Reason> reasons = moves.proposal(
                        order, line, start, new Moves.Target(wish.doing().to(), true), Audience.DESK)
                .map(p ->
                        p.option().verdict() instanceof Verdict.Against against ? against.reasons() : List.<Reason>of())
                .orElse(List.of());
        return new Hindered(wish.booking(), time, reasons);
    }

    /**
     * Does it, each in a transaction of its own, and writes to the guests.
     *
     * @param words what they read; empty: nothing of ours
     * @return those with which it could not be done
     */
    public List<BookingId> carryOut(List<Wish> wishes, String words, Host host) {
        return inOrder(wishes).stream()
                .filter(w -> !Boolean.TRUE.equals(each.execute(t -> carryOutOne(w, words, host))))
                .map(Wish::booking)
                .toList();
    }

    private boolean carryOutOne(Wish wish, String words, Host host) {
        Optional<Order> found = orders.byBooking(wish.booking());
        Optional<OrderLine> line = found.flatMap(o -> o.line(wish.booking()))
                .filter(l -> sight.sees(host, l.offer(), l.reserved().staff()));
        if (line.isEmpty()) {
            return false;
        }
        Order order = found.get();
        Outcome outcome =
                switch (wish.doing().kind()) {
                    case STAY, SHIFT -> Outcome.DONE;
                    case CANCEL -> endings.cancelByHost(
                            order, wish.booking(), line.get().paid(), words, true, host.actor());
                    case HAND_OVER -> move(order, line.get(), line.get().time().start(), wish.doing(), host);
                    case MOVE -> move(order, line.get(), wish.doing().start(), wish.doing(), host);
                };
        // A letter that cancels says it itself.
        if (outcome == Outcome.DONE && !words.isEmpty() && wish.doing().kind() != Doing.Kind.CANCEL) {
            talks.toGuest(order, wish.booking(), words, host);
        }
        return outcome == Outcome.DONE;
    }

    /** Nothing is moved into what is over, or farther than anybody plans. */
    private boolean isInReach(long start) {
        LocalDate today = catalogues.catalogue().zone().dateOf(clock.instant());
        LocalDate date = catalogues.catalogue().zone().dateOf(start);
        return !date.isBefore(today) && date.isBefore(today.plusYears(YEARS_AHEAD));
    }

    private Outcome move(Order order, OrderLine line, long start, Doing doing, Host host) {
        Moves.Target to = new Moves.Target(doing.to(), false);
        if (doing.kind() == Doing.Kind.MOVE && !isInReach(start)) {
            return Outcome.CHANGED;
        }
        return moves.proposal(order, line, start, to, Audience.DESK)
                .map(p -> moves.move(
                        order,
                        line.booking(),
                        new Moves.Wish(Audience.DESK, start, to, p.total(), true, true, false, host.actor())))
                .orElse(Outcome.CHANGED);
    }
}
