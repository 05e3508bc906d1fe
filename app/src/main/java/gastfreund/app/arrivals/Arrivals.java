package gastfreund.app.arrivals;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.checkout.OrderIntake;
import gastfreund.app.hosts.Host;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.GivenTable;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes over what another program had. What a table would do is found out by doing it, row by row in one transaction, in
 * which each booking meets those before it; to look at it, the transaction is given up.
 */
@Service
public class Arrivals {

    /** So many rows are taken at once, so that nobody else waits long. */
    static final int MOST_ROWS = 500;

    private static final int SHOWN = 20;
    private static final Duration KEPT = Duration.ofDays(7);

    private final ArrivalStore store;
    private final OrderIntake intake;
    private final BookingStore bookings;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final Tokens tokens;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Arrivals(
            ArrivalStore store,
            OrderIntake intake,
            BookingStore bookings,
            CatalogueService catalogues,
            OpeningsService openings,
            Tokens tokens,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.intake = intake;
        this.bookings = bookings;
        this.catalogues = catalogues;
        this.openings = openings;
        this.tokens = tokens;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * What becomes of a row.
     *
     * @param wrong why it cannot be taken over
     * @param against what the house's rules have against it, which is said and no obstacle
     * @param time of its booking; null: it has none
     * @param out whether it is left out
     */
    record Judged(Row row, List<Row.Wrong> wrong, List<Reason> against, @Nullable Interval time, boolean out) {

        boolean isRight() {
            return out || wrong.isEmpty();
        }
    }

    List<Arrival> newest() {
        return store.newest(SHOWN);
    }

    Optional<Arrival> byId(long id) {
        return store.byId(id);
    }

    int orders(Arrival arrival) {
        return store.orders(arrival.id()).size();
    }

    /** Keeps a table until somebody has said what its columns are; empty where it is none, or has too many rows. */
    @Transactional
    public Optional<Long> come(String name, String text, Host host) {
        Instant now = clock.instant();
        store.forgetOpen(now.minus(KEPT));
        return GivenTable.read(text)
                .filter(t -> t.rows().size() <= MOST_ROWS)
                .map(t -> store.insert(name, host.email(), text, now));
    }

    /** Notes what the columns are. */
    @Transactional
    public void say(long id, List<Column> columns, boolean monthFirst) {
        store.say(id, columns, monthFirst);
    }

    @Transactional
    public void leaveOut(long id, Set<Integer> rows) {
        store.leaveOut(id, rows);
    }

    @Transactional
    public void remove(long id) {
        store.remove(id);
    }

    /** What taking it over would do. */
    List<Judged> look(Arrival arrival, Host host) {
        List<Judged> judged = new ArrayList<>();
        transaction.executeWithoutResult(status -> {
            take(arrival, host, judged);
            status.setRollbackOnly();
        });
        return judged;
    }

    /** Takes it over: all rows that are not left out, or none where any cannot be. Whether it did. */
    public boolean takeOver(Arrival arrival, Host host) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            Arrival now = store.byId(arrival.id()).orElseThrow();
            List<Judged> judged = new ArrayList<>();
            List<Long> orders = now.isOpen() ? take(now, host, judged) : List.of();
            boolean right = now.isOpen() && !orders.isEmpty() && judged.stream().allMatch(Judged::isRight);
            if (right) {
                store.taken(now.id(), orders, clock.instant());
            } else {
                status.setRollbackOnly();
            }
            return right;
        }));
    }

    private List<Long> take(Arrival arrival, Host host, List<Judged> judged) {
        Catalogue catalogue = catalogues.catalogue();
        RowReader reader = new RowReader(catalogue, arrival);
        List<List<String>> rows =
                GivenTable.read(arrival.content()).map(GivenTable::rows).orElse(List.of());
        List<Long> orders = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            Row row = reader.row(i + 1, rows.get(i));
            if (arrival.out().contains(row.number())) {
                judged.add(new Judged(row, row.wrong(), List.of(), null, true));
            } else {
                take(arrival, row, catalogue, host, judged).ifPresent(orders::add);
            }
        }
        return orders;
    }

    private Optional<Long> take(Arrival arrival, Row row, Catalogue catalogue, Host host, List<Judged> judged) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Locale language = catalogue.extras().manners().first();
        Row.Wish wish = row.wish();
        List<Row.Wrong> wrong = new ArrayList<>(row.wrong());
        if (wish == null) {
            String email = row.contact().email();
            if (wrong.isEmpty() && email.isEmpty() && row.contact().phone().isEmpty()) {
                wrong.add(new Row.Wrong("noWay", ""));
            } else if (wrong.isEmpty() && !email.isEmpty() && store.isKnown(email)) {
                wrong.add(new Row.Wrong("known", email));
            }
            judged.add(new Judged(row, wrong, List.of(), null, false));
            return wrong.isEmpty()
                    ? Optional.of(intake.bringIn(row.contact(), language, now, host.actor(), arrival.name()))
                    : Optional.empty();
        }
        Placed placed = place(wish, row, catalogue, now, wrong);
        Line line = line(wish, placed.staff(), catalogue, now);
        Money total = wish.price() == null ? line.price().amount() : wish.price();
        if (wish.paid().compareTo(total) > 0) {
            wrong.add(new Row.Wrong("paid", ""));
        }
        judged.add(new Judged(row, wrong, placed.against(), placed.time(), false));
        if (!wrong.isEmpty()) {
            return Optional.empty();
        }
        Booking booking = new Booking(
                new BookingId(tokens.next()),
                wish.offer().id(),
                placed.time().start(),
                placed.time().length(),
                placed.staff(),
                wish.place(),
                wish.party(),
                Interval.instantOf(placed.time().end()).isAfter(now)
                        ? BookingStatus.CONFIRMED
                        : BookingStatus.COMPLETED,
                null,
                Map.of());
        return Optional.of(intake.bringIn(
                new OrderIntake.Brought(booking, line, row.contact(), language, wish.price(), wish.paid()),
                now,
                host.actor(),
                arrival.name()));
    }

    private static Line line(Row.Wish wish, List<StaffId> staff, Catalogue catalogue, Instant now) {
        return new Line(
                wish.offer(),
                wish.length(),
                wish.units(),
                wish.party(),
                Map.of(),
                wish.start(),
                staff,
                wish.place(),
                now,
                catalogue.zone());
    }

    private record Placed(Interval time, List<StaffId> staff, List<Reason> against) {}

    /** Who serves and when, with what stands against it: what has begun is not asked about. */
    private Placed place(Row.Wish wish, Row row, Catalogue catalogue, Instant now, List<Row.Wrong> wrong) {
        Offer offer = wish.offer();
        Interval time = Interval.startingAt(wish.start(), offer.guestTime(wish.length(), wish.units(), Map.of()));
        String email = row.contact().email();
        if (!email.isEmpty() && store.isThere(offer.id().value(), wish.start(), email)) {
            wrong.add(new Row.Wrong("again", email));
        }
        if (!time.startInstant().isAfter(now)) {
            return new Placed(time, usual(wish, catalogue), List.of());
        }
        Optional<Answer.Judged> option = option(wish, catalogue, now);
        if (option.isEmpty()) {
            wrong.add(new Row.Wrong("never", ""));
            return new Placed(time, usual(wish, catalogue), List.of());
        }
        List<Reason> reasons = option.get().reasons();
        reasons.stream()
                .filter(Arrivals::isClash)
                .findFirst()
                .ifPresent(r -> wrong.add(new Row.Wrong("clash", r.code())));
        return new Placed(time, option.get().staff(), reasons);
    }

    private static List<StaffId> usual(Row.Wish wish, Catalogue catalogue) {
        List<List<StaffId>> options = catalogue.house().options(wish.offer());
        return options.stream()
                .filter(o -> wish.staff() == null || o.contains(wish.staff()))
                .findFirst()
                .orElse(List.of());
    }

    /** Whether somebody or something would be booked twice: no rule that a host could pass over. */
    private static boolean isClash(Reason reason) {
        return reason instanceof Reason.StaffBusy || reason instanceof Reason.Full || reason instanceof Reason.Seats;
    }

    /** The way in which it can be had with the least against it; empty where nothing ever begins then. */
    private Optional<Answer.Judged> option(Row.Wish wish, Catalogue catalogue, Instant now) {
        LocalDate date = catalogue.zone().dateOf(wish.start());
        Query query = Query.of(wish.offer().id(), date, date, now)
                .withLength(wish.length().id(), wish.units())
                .withParty(wish.party())
                .withStaff(wish.staff())
                .withPlace(wish.place())
                .askedBy(Audience.DESK);
        List<Answer.Judged> options = openings.explain(catalogue.house(), query).entries().stream()
                .filter(e -> e.time().start() == wish.start())
                .flatMap(e -> e.options().stream())
                .toList();
        return options.stream()
                .filter(Answer.Judged::isOpen)
                .findFirst()
                .or(() -> options.stream()
                        .filter(o -> o.reasons().stream().noneMatch(Arrivals::isClash))
                        .findFirst())
                .or(() -> options.stream().findFirst());
    }

    /** Takes back what was taken over, as if it had never been, where nobody has done anything with it. Whether it did. */
    public boolean undo(Arrival arrival) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            List<Long> orders = store.orders(arrival.id());
            Arrival now = store.byId(arrival.id()).orElseThrow();
            if (now.taken() == null || now.undone() != null || !orders.stream().allMatch(store::isUntouched)) {
                return false;
            }
            for (long order : orders) {
                store.removeOrder(order);
                bookings.removeOf(order);
                store.removeEmptied(order);
            }
            store.undone(arrival.id(), clock.instant());
            return true;
        }));
    }
}
