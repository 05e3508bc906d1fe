package gastfreund.app.orders;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.CheckoutRules;
import gastfreund.app.house.Formats;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Gateways;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.core.money.Money;
import gastfreund.core.openings.BookingId;
import gastfreund.core.openings.BookingStatus;
import gastfreund.core.orders.PaymentState;
import gastfreund.core.terms.Terms;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The page of an order, for whoever has its token. */
@Controller
class BookingPageController {

    private static final Logger LOG = LoggerFactory.getLogger(BookingPageController.class);

    private static final int MOST_REASON = 500;

    private final OrderService orders;
    private final OrderPayments paying;
    private final Endings endings;
    private final Waiting waiting;
    private final Balances balances;
    private final Moves moves;
    private final Documents documents;
    private final Gateways gateways;
    private final CatalogueService catalogues;
    private final Clock clock;
    private final OrderPages pages;
    private final OrderLetters letters;
    private final PaymentService payments;

    BookingPageController(
            OrderService orders,
            OrderPayments paying,
            Endings endings,
            Waiting waiting,
            Balances balances,
            Moves moves,
            Documents documents,
            OrderPages pages,
            OrderLetters letters,
            PaymentService payments,
            Gateways gateways,
            CatalogueService catalogues,
            Clock clock) {
        this.gateways = gateways;
        this.catalogues = catalogues;
        this.clock = clock;
        this.orders = orders;
        this.paying = paying;
        this.balances = balances;
        this.moves = moves;
        this.documents = documents;
        this.endings = endings;
        this.waiting = waiting;
        this.pages = pages;
        this.letters = letters;
        this.payments = payments;
    }

    @GetMapping("/bookings/{token}")
    String booking(
            @PathVariable String token, @RequestParam(required = false) String unreachable, Model model) {
        Order order = find(token);
        Formats f = (Formats) model.getAttribute("f");
        List<Payment> all = payments.ofOrder(order.id());
        Money paid = orders.paid(order);
        Payment last = all.isEmpty() ? null : all.get(all.size() - 1);
        boolean refused = last != null && last.state() == PaymentState.FAILED;
        model.addAttribute("order", order);
        model.addAttribute("rows", pages.rows(order.standing(), f));
        model.addAttribute("goods", pages.goods(order));
        model.addAttribute("lost", pages.rows(order.lost(), f));
        Money authorised = Money.sum(all.stream().map(Payment::authorised).toList());
        model.addAttribute("paid", paid);
        model.addAttribute("balances", balances);
        model.addAttribute("moves", moves);
        model.addAttribute("documents", documents.ofOrder(order));
        model.addAttribute("now", clock.instant());
        model.addAttribute("authorised", authorised);
        model.addAttribute("later", order.later());
        model.addAttribute("unpaid", paying.unpaid(order));
        model.addAttribute("asks", !order.standing().isEmpty()
                && order.standing().stream().allMatch(l -> l.status() == BookingStatus.REQUESTED));
        Optional<Payment> transfer = all.stream()
                .filter(p -> p.isTransfer() && p.state().isOpen() && p.reference() != null)
                .findFirst();
        model.addAttribute("transfer", transfer.orElse(null));
        model.addAttribute("account", transfer.map(gateways::accountOf).orElse(null));
        model.addAttribute("ways", paying.ways(order));
        model.addAttribute("refused", refused);
        model.addAttribute("unreachable", unreachable != null);
        model.addAttribute("asking", order.status() == OrderStatus.WAITING && !refused && unreachable == null && transfer.isEmpty());
        model.addAttribute("keptUntil", keptUntil(order));
        boolean calledOff = order.lines().stream().anyMatch(l -> l.status() == BookingStatus.CANCELLED);
        model.addAttribute("calledOff", calledOff);
        if (order.status() == OrderStatus.LAPSED && !order.lines().isEmpty() && !calledOff) {
            model.addAttribute("nearest", pages.nearest(order.lines().get(0)));
            model.addAttribute("keepAddress", pages.keepAddress(order.lines().get(0)));
            model.addAttribute("cameTooLate", all.stream().anyMatch(Payment::isPaid)
                    || all.stream().anyMatch(p -> p.state() == PaymentState.REFUNDED));
        }
        return "orders/booking";
    }

    /** Leads to the gateway for what is left to pay of a booking. */
    @PostMapping("/bookings/{token}/lines/{booking}/pay")
    String payBalance(@PathVariable String token, @PathVariable String booking) {
        Order order = find(token);
        try {
            return "redirect:"
                    + balances.payAddress(order, line(order, booking).booking()).orElse("/bookings/" + token);
        } catch (GatewayException e) {
            LOG.warn("order {}: {}", order.number(), e.getMessage());
            return "redirect:/bookings/" + token + "?unreachable";
        }
    }

    /** What a cancellation gives back, before it is decided. */
    @GetMapping("/bookings/{token}/lines/{booking}/cancel")
    String cancel(@PathVariable String token, @PathVariable String booking, Model model) {
        Order order = find(token);
        OrderLine line = line(order, booking);
        if (!line.canBeCancelled()) {
            return "redirect:/bookings/" + token;
        }
        model.addAttribute("order", order);
        model.addAttribute("row", pages.rows(List.of(line), (Formats) model.getAttribute("f")).get(0));
        model.addAttribute("outcome", endings.proposal(line, Terms.By.GUEST));
        model.addAttribute("visitsBack", endings.givesVisitsBack(line));
        return "orders/cancel";
    }

    @PostMapping("/bookings/{token}/lines/{booking}/cancel")
    String cancelled(
            @PathVariable String token,
            @PathVariable String booking,
            @RequestParam long refund,
            @RequestParam(defaultValue = "") String why) {
        Order order = find(token);
        String reason = why.strip().substring(0, Math.min(MOST_REASON, why.strip().length()));
        Endings.Outcome outcome =
                endings.cancelByGuest(order, line(order, booking).booking(), Money.ofMinor(refund), reason);
        return outcome == Endings.Outcome.DONE
                ? "redirect:/bookings/" + token + "?cancelled"
                : "redirect:/bookings/" + token + "/lines/" + booking + "/cancel?changed";
    }

    @GetMapping("/bookings/{token}/details")
    String details(@PathVariable String token, Model model) {
        Order order = find(token);
        model.addAttribute("contact", order.contact());
        return details(order, CheckoutForm.fresh(catalogues.catalogue().checkout(), answered(order)), model);
    }

    @PostMapping("/bookings/{token}/details")
    String changed(
            @PathVariable String token,
            @Valid @ModelAttribute("contact") Contact contact,
            BindingResult errors,
            @RequestParam MultiValueMap<String, String> sent,
            Model model) {
        Order order = find(token);
        CheckoutRules rules = catalogues.catalogue().checkout();
        Questionnaire questionnaire = questionnaire(order, name -> sent.getOrDefault(name, List.of())).checked();
        CheckoutForm.require(rules, contact, errors);
        if (errors.hasErrors() || !questionnaire.isRight()) {
            return details(order, new CheckoutForm(rules, questionnaire, List.of(), true), model);
        }
        orders.changeDetails(order, contact, questionnaire.answers());
        return "redirect:/bookings/" + token + "?changed";
    }

    private static String details(Order order, CheckoutForm form, Model model) {
        model.addAttribute("order", order);
        model.addAttribute("form", form);
        return "orders/details";
    }

    private Questionnaire answered(Order order) {
        Map<String, List<String>> given = new HashMap<>();
        for (OrderLine line : order.standing()) {
            orders.answersOf(line.booking()).forEach(a -> given.put(
                    Questionnaire.name(a.booking(), a.person(), a.question()), List.of(a.value().split("\n"))));
        }
        return questionnaire(order, name -> given.getOrDefault(name, List.of()));
    }

    private Questionnaire questionnaire(Order order, Function<String, List<String>> given) {
        List<Questionnaire.Subject> subjects = order.standing().stream()
                .map(l -> new Questionnaire.Subject(l.booking(), l.offer(), l.party(), l.time()))
                .toList();
        return Questionnaire.of(subjects, catalogues.catalogue(), given);
    }

    private static OrderLine line(Order order, String booking) {
        return booking.isBlank()
                ? missing()
                : order.line(new BookingId(booking)).orElseGet(BookingPageController::missing);
    }

    private static OrderLine missing() {
        throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    }

    private static Instant keptUntil(Order order) {
        return order.lines().stream()
                .filter(l -> l.status() == BookingStatus.HELD)
                .map(OrderLine::expires)
                .min(Instant::compareTo)
                .orElse(null);
    }

    /** Where the guest comes back to from the gateway: its answer is fetched at once, and not waited for. */
    @GetMapping("/bookings/{token}/paid")
    String paid(@PathVariable String token) {
        Order order = find(token);
        payments.askAbout(order.id());
        return "redirect:/bookings/" + token;
    }

    @PostMapping("/bookings/{token}/pay")
    String pay(@PathVariable String token, @RequestParam(required = false) String way) {
        Order order = find(token);
        try {
            return "redirect:" + paying.payAddress(order, way).orElse("/bookings/" + token);
        } catch (GatewayException e) {
            LOG.warn("order {}: {}", order.number(), e.getMessage());
            return "redirect:/bookings/" + token + "?unreachable";
        }
    }

    /** Calls an order off that waits for its money. */
    @PostMapping("/bookings/{token}/release")
    String callOff(@PathVariable String token) {
        waiting.callOff(find(token), "guest");
        return "redirect:/bookings/" + token;
    }

    @GetMapping("/bookings/{token}/calendar.ics")
    ResponseEntity<String> calendar(@PathVariable String token) {
        Order order = find(token);
        if (order.status() != OrderStatus.PLACED) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"booking-" + order.number() + ".ics\"")
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(letters.calendar(order));
    }

    private Order find(String token) {
        return orders.byToken(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
