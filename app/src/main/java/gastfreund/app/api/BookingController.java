package gastfreund.app.api;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Endings;
import gastfreund.app.moves.Moves;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Outcome;
import gastfreund.app.programs.Answers;
import gastfreund.app.programs.Program;
import gastfreund.app.programs.Refused;
import gastfreund.app.programs.Scope;
import gastfreund.app.programs.WithKey;
import gastfreund.app.storage.Reading;
import gastfreund.app.typed.Written;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.money.Money;
import gastfreund.core.openings.Answer;
import gastfreund.core.time.HouseZone;
import gastfreund.housefile.Node;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ObjectNode;

/** Orders and bookings, with a key: reading them, and moving and cancelling as the terms say. */
@RestController
@RequestMapping("/api")
class BookingController {

    private static final int DONE = 200;
    private static final int MOST_REASON = 500;

    private final Found found;
    private final Moves moves;
    private final Endings endings;
    private final CatalogueService catalogues;
    private final Answers answers;
    private final Reading reading;
    private final Clock clock;

    BookingController(
            Found found,
            Moves moves,
            Endings endings,
            CatalogueService catalogues,
            Answers answers,
            Reading reading,
            Clock clock) {
        this.found = found;
        this.moves = moves;
        this.endings = endings;
        this.catalogues = catalogues;
        this.answers = answers;
        this.reading = reading;
        this.clock = clock;
    }

    /** Orders in the order of their numbers, those after one that is known; a hundred at most. */
    @WithKey(Scope.READ)
    @GetMapping("/orders")
    ResponseEntity<String> orders(@RequestParam(defaultValue = "0") long after) {
        return Answers.closed(found.after(after));
    }

    @WithKey(Scope.READ)
    @GetMapping("/orders/{number}")
    ResponseEntity<String> order(@PathVariable long number) {
        return Answers.closed(found.order(number));
    }

    /** Bookings by their start, from one date to another (both inclusive). */
    @WithKey(Scope.READ)
    @GetMapping("/bookings")
    ResponseEntity<String> bookings(
            @RequestParam(required = false) @Nullable String from,
            @RequestParam(required = false) @Nullable String to) {
        LocalDate first = Chosen.date("from", from, zone().dateOf(clock.instant()));
        LocalDate last = Chosen.date("to", to, first);
        Chosen.within(first, last, OfferController.MOST_DAYS);
        return Answers.closed(found.bookings(first, last));
    }

    @WithKey(Scope.READ)
    @GetMapping("/bookings/{id}")
    ResponseEntity<String> booking(@PathVariable BookingId id) {
        return Answers.closed(found.booking(id));
    }

    private HouseZone zone() {
        return catalogues.catalogue().zone();
    }

    /** What a cancellation gives back now. */
    @WithKey(Scope.CHANGE)
    @GetMapping("/bookings/{id}/cancel")
    ResponseEntity<String> whatCancellingGives(@PathVariable BookingId id) {
        return Answers.closed(reading.of(() -> {
            OrderLine line = standing(found.of(id), id);
            Money back = endings.byTheTerms(line).refund();
            ObjectNode node = Json.object();
            Json.money(node, "paid", line.paid());
            Json.money(node, "kept", line.paid().minus(back));
            Json.money(node, "back", back);
            return node;
        }));
    }

    /** Whether it still stands and has not begun. */
    private OrderLine standing(Order order, BookingId id) {
        OrderLine line = order.line(id).orElseThrow();
        if (!OrderJson.canBeCancelled(line, clock.instant())) {
            throw Refused.because(Refused.Why.TERMS);
        }
        return line;
    }

    @WithKey(Scope.CHANGE)
    @PostMapping(path = "/bookings/{id}/cancel", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> cancel(
            Program program,
            HttpServletRequest request,
            @PathVariable BookingId id,
            @RequestBody(required = false) @Nullable String body) {
        return change(program, request, id, body, Wishes::cancel, (order, wish) -> {
            standing(order, id);
            return endings.cancelByTheTerms(
                    order, id, wish.back(), Written.line(wish.why(), MOST_REASON), program.actor());
        });
    }

    /** To which starts it could be moved, from one date to another (both inclusive). */
    @WithKey(Scope.CHANGE)
    @GetMapping("/bookings/{id}/openings")
    ResponseEntity<String> openings(
            @PathVariable BookingId id,
            @RequestParam(required = false) @Nullable String from,
            @RequestParam(required = false) @Nullable String to) {
        LocalDate first = Chosen.date("from", from, zone().dateOf(clock.instant()));
        LocalDate last = Chosen.date("to", to, first.plusDays(6));
        Chosen.within(first, last, OfferController.MOST_DAYS);
        return Answers.closed(reading.of(() -> {
            Order order = found.of(id);
            return Json.with(
                    "openings",
                    Json.array(moves.openings(order, movable(order, id), first, last, Audience.GUEST).stream()
                            .filter(Answer.Entry::isOpen)
                            .map(e -> {
                                ObjectNode node = Json.object();
                                Json.time(node, e.time(), zone());
                                return node;
                            })
                            .toList()));
        }));
    }

    private OrderLine movable(Order order, BookingId id) {
        OrderLine line = order.line(id).orElseThrow();
        if (!moves.mayMove(line)) {
            throw Refused.because(Refused.Why.TERMS);
        }
        return line;
    }

    /** What a move to a start would do. */
    @WithKey(Scope.CHANGE)
    @GetMapping("/bookings/{id}/move")
    ResponseEntity<String> whatMovingDoes(
            @PathVariable BookingId id, @RequestParam(required = false) @Nullable String start) {
        long to = Chosen.start("start", start);
        return Answers.closed(reading.of(() -> {
            Order order = found.of(id);
            Moves.Proposal proposal = proposal(order, movable(order, id), to);
            ObjectNode node = Json.object();
            Json.time(node, proposal.time(), zone());
            Json.money(node, "total", proposal.total());
            Json.money(node, "back", proposal.back());
            Json.money(node, "more", proposal.more());
            Json.money(node, "keptAtLeast", proposal.floor());
            return node;
        }));
    }

    private Moves.Proposal proposal(Order order, OrderLine line, long start) {
        return moves.proposal(order, line, start, Moves.Target.ANYONE, Audience.GUEST)
                .orElseThrow(() -> Refused.because(Refused.Why.TAKEN));
    }

    @WithKey(Scope.CHANGE)
    @PostMapping(path = "/bookings/{id}/move", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> move(
            Program program,
            HttpServletRequest request,
            @PathVariable BookingId id,
            @RequestBody(required = false) @Nullable String body) {
        return change(program, request, id, body, Wishes::move, (order, wish) -> {
            proposal(order, movable(order, id), wish.start());
            return moves.move(order, id, Moves.Wish.byTheTerms(wish.start(), wish.total(), program.actor()));
        });
    }

    /** Notes money that the program took for a booking. */
    @WithKey(Scope.ORDER)
    @PostMapping(path = "/bookings/{id}/payments", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> paid(
            Program program,
            HttpServletRequest request,
            @PathVariable BookingId id,
            @RequestBody(required = false) @Nullable String body) {
        return change(
                program,
                request,
                id,
                body,
                Wishes::paidFor,
                (order, wish) -> endings.paidElsewhere(order, id, wish.paid(), wish.before(), program.actor()));
    }

    private <T> ResponseEntity<String> change(
            Program program,
            HttpServletRequest request,
            BookingId id,
            @Nullable String body,
            Function<Node, T> read,
            BiFunction<Order, T, Outcome> act) {
        return answers.done(program, request, body, DONE, read, wish -> {
            if (act.apply(found.of(id), wish) != Outcome.DONE) {
                throw Refused.because(Refused.Why.CHANGED);
            }
            return found.booking(id);
        });
    }
}
