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
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Does something with several bookings at once, each in a transaction of its own. */
@Service
public class Several {

    /** How many can be chosen at once. */
    static final int MOST = 100;

    private final SeveralStore store;
    private final Orders orders;
    private final Moves moves;
    private final Endings endings;
    private final Talks talks;
    private final CatalogueService catalogues;
    private final Sight sight;

    Several(
            SeveralStore store,
            Orders orders,
            Moves moves,
            Endings endings,
            Talks talks,
            CatalogueService catalogues,
            Sight sight) {
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
     */
    public record One(Order order, OrderLine line, List<Staff> free) {}

    /** A wish for one of them. */
    public record Wish(BookingId booking, Doing doing) {}

    /** What somebody serves on a day. */
    List<BookingId> of(StaffId person, LocalDate day) {
        var zone = catalogues.catalogue().zone();
        return store.ofPerson(person, Interval.between(zone.startOf(day), zone.startOf(day.plusDays(1))), MOST);
    }

    /** What a host sees of some bookings, as far as anything can be done with them. */
    public List<One> look(List<BookingId> bookings, Host host) {
        return bookings.stream()
                .distinct()
                .limit(MOST)
                .flatMap(b -> orders.byBooking(b).stream().flatMap(o -> o.line(b).stream()
                        .filter(OrderLine::canBeCancelled)
                        .filter(l -> sight.sees(host, l.offer(), l.reserved().staff()))
                        .map(l -> new One(o, l, free(o, l)))))
                .toList();
    }

    private List<Staff> free(Order order, OrderLine line) {
        Offer offer = catalogues.catalogue().offer(line.offer());
        if (line.reserved().staff().size() != 1) {
            return List.of();
        }
        return offer.serving().of().stream()
                .filter(p -> !line.reserved().staff().contains(p))
                .filter(p -> handOver(order, line, p).isPresent())
                .map(p -> catalogues.catalogue().house().staff(p))
                .toList();
    }

    private Optional<Moves.Proposal> handOver(Order order, OrderLine line, StaffId to) {
        return moves.proposal(order, line, line.time().start(), new Moves.Target(to, false), Audience.DESK);
    }

    /**
     * Does it with one booking, and writes to its guest.
     *
     * @param words what its guest reads; empty: nothing of ours
     * @return whether it could be done
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean carryOut(Wish wish, String words, Host host) {
        Optional<Order> found = orders.byBooking(wish.booking());
        Optional<OrderLine> line = found.flatMap(o -> o.line(wish.booking()))
                .filter(l -> sight.sees(host, l.offer(), l.reserved().staff()));
        if (line.isEmpty()) {
            return false;
        }
        Order order = found.get();
        Outcome outcome =
                switch (wish.doing().kind()) {
                    case STAY -> Outcome.DONE;
                    case CANCEL -> endings.cancelByHost(
                            order, wish.booking(), line.get().paid(), words, true, host.actor());
                    case HAND_OVER -> handOver(order, line.get(), wish, host);
                };
        // A letter that cancels says it itself.
        if (outcome == Outcome.DONE && !words.isEmpty() && wish.doing().kind() != Doing.Kind.CANCEL) {
            talks.toGuest(order, wish.booking(), words, host);
        }
        return outcome == Outcome.DONE;
    }

    private Outcome handOver(Order order, OrderLine line, Wish wish, Host host) {
        StaffId to = Objects.requireNonNull(wish.doing().to());
        return handOver(order, line, to)
                .map(p -> moves.move(
                        order,
                        line.booking(),
                        new Moves.Wish(
                                Audience.DESK,
                                line.time().start(),
                                new Moves.Target(to, false),
                                p.total(),
                                true,
                                true,
                                false,
                                host.actor())))
                .orElse(Outcome.CHANGED);
    }
}
