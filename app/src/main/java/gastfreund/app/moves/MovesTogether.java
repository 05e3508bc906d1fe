package gastfreund.app.moves;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.letters.OrderLetters;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A booking and those of its order that follow it, moved together by their guest: each by as many days and as much of the time of
 * day as the first. What cannot be had then stays where it is.
 */
@Service
class MovesTogether {

    /**
     * One of them.
     *
     * @param start to which it would move, in minutes
     * @param proposal null: it cannot be had then, and stays
     */
    record One(OrderLine line, long start, Moves.@Nullable Proposal proposal) {

        boolean moves() {
            return proposal != null;
        }

        Moves.Proposal asked() {
            return Objects.requireNonNull(proposal);
        }
    }

    /** All of them in the order of their times. */
    record Together(List<One> all) {

        List<One> moving() {
            return all.stream().filter(One::moves).toList();
        }

        Money back() {
            return Money.sum(moving().stream().map(o -> o.asked().back()).toList());
        }

        Money more() {
            return Money.sum(moving().stream().map(o -> o.asked().more()).toList());
        }

        /** What each would cost then: what was shown of it, so that anything else is noticed. */
        String mark() {
            return all.stream()
                    .map(o -> o.moves() ? Long.toString(o.asked().total().minor()) : "-")
                    .collect(Collectors.joining(" "));
        }
    }

    private final Moves moves;
    private final OrderStore store;
    private final OrderLetters letters;
    private final CatalogueService catalogues;

    MovesTogether(Moves moves, OrderStore store, OrderLetters letters, CatalogueService catalogues) {
        this.moves = moves;
        this.store = store;
        this.letters = letters;
        this.catalogues = catalogues;
    }

    /** Those that follow a booking: of the same offer, later, and still to be moved by their guest. */
    List<OrderLine> following(Order order, OrderLine first) {
        return order.standing().stream()
                .filter(l -> l.offer().equals(first.offer()) && moves.mayMove(l))
                .filter(l -> l.time().start() > first.time().start())
                .sorted(Comparator.comparing(l -> l.time().start()))
                .toList();
    }

    /** What moving all of them would do if the first went to a start; empty where the first cannot. */
    Optional<Together> look(Order order, OrderLine first, long start) {
        if (!moves.mayMove(first)) {
            return Optional.empty();
        }
        List<One> wanted = new ArrayList<>();
        wanted.add(new One(first, start, null));
        following(order, first).forEach(l -> wanted.add(new One(l, likewise(l, first, start), null)));
        Set<BookingId> away = new HashSet<>();
        List<One> found = new ArrayList<>();
        for (One one : inTurn(wanted)) {
            Moves.Proposal proposal = moves.proposal(
                            order, one.line(), one.start(), Moves.Target.ANYONE, Audience.GUEST, away)
                    .orElse(null);
            if (proposal != null) {
                away.add(one.line().booking());
            }
            found.add(new One(one.line(), one.start(), proposal));
        }
        found.sort(Comparator.comparing(o -> o.line().time().start()));
        return found.get(0).moves() ? Optional.of(new Together(List.copyOf(found))) : Optional.empty();
    }

    /** Those that become later from the last one on, those that become earlier from the first one on: each makes room. */
    private static List<One> inTurn(List<One> all) {
        Comparator<One> byTime = Comparator.comparing(o -> o.line().time().start());
        boolean later = all.get(0).start() > all.get(0).line().time().start();
        return all.stream().sorted(later ? byTime.reversed() : byTime).toList();
    }

    /** Where a line goes when the first goes to a start: by the clock, over changes of it. */
    private long likewise(OrderLine line, OrderLine first, long start) {
        HouseZone zone = catalogues.catalogue().zone();
        LocalDateTime before = zone.localOf(first.time().start());
        LocalDateTime after = zone.localOf(start);
        LocalDate date = before.toLocalDate();
        LocalDateTime local = zone.localOf(line.time().start())
                .plusDays(ChronoUnit.DAYS.between(date, after.toLocalDate()))
                .plusMinutes(ChronoUnit.MINUTES.between(before.toLocalTime(), after.toLocalTime()));
        return zone.minuteOf(local);
    }

    /**
     * Moves all of them that can be, or none where anything is not as it was shown; it is told in one letter.
     *
     * @param shown {@link Together#mark} of what the guest saw
     */
    @Transactional
    Outcome move(Order order, BookingId booking, long start, String shown) {
        Order current = store.byId(order.id()).orElseThrow();
        Optional<Together> found = look(current, current.line(booking).orElseThrow(), start)
                .filter(t -> t.mark().equals(shown));
        if (found.isEmpty()) {
            return Outcome.CHANGED;
        }
        for (One one : inTurn(found.get().moving())) {
            Moves.Wish wish = Moves.Wish.ofGuest(one.start(), one.asked().total());
            current = moves.carryOut(current, one.line(), one.asked(), wish);
        }
        Order after = current;
        List<OrderLine> moved = found.get().moving().stream()
                .map(o -> after.line(o.line().booking()).orElseThrow())
                .toList();
        letters.moved(after, moved, found.get().back(), true, true);
        return Outcome.DONE;
    }
}
