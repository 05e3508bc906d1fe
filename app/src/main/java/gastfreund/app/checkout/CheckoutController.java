package gastfreund.app.checkout;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.pages.Links;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import gastfreund.core.offers.Offer;
import gastfreund.core.orders.Quote;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Leaving one's name and ordering. */
@Controller
class CheckoutController {

    private static final Logger LOG = LoggerFactory.getLogger(CheckoutController.class);

    /** @param freeUntil until when cancelling costs nothing; null where that is over or never was */
    record Row(BasketLine line, Offer offer, Quote.QuotedLine quoted, @Nullable Instant freeUntil) {}

    private final Placing orders;
    private final OrderPayments paying;
    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final Doorkeeper doorkeeper;
    private final VisitorMarks marks;
    private final Clock clock;

    CheckoutController(
            Placing orders,
            OrderPayments paying,
            BasketService baskets,
            CatalogueService catalogues,
            Doorkeeper doorkeeper,
            VisitorMarks marks,
            Clock clock) {
        this.orders = orders;
        this.paying = paying;
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.doorkeeper = doorkeeper;
        this.marks = marks;
        this.clock = clock;
    }

    @GetMapping("/basket/{basket}/checkout")
    String checkout(@ModelAttribute(name = "links", binding = false) Links links, Model model) {
        model.addAttribute("contact", Contact.empty());
        Questionnaire questionnaire = questionnaire(baskets.lines(known(links)), new LinkedMultiValueMap<>());
        return page(links, CheckoutForm.fresh(catalogues.catalogue().checkout(), questionnaire), "", model);
    }

    @PostMapping("/basket/{basket}/checkout")
    String order(
            @Valid @ModelAttribute("contact") Contact contact,
            BindingResult errors,
            @RequestParam MultiValueMap<String, String> sent,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @RequestParam(required = false) String way,
            @RequestParam(defaultValue = "") String shown,
            @RequestParam(name = "website", defaultValue = "") String trap,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            Locale locale,
            Model model) {
        model.addAttribute("chosenWay", way);
        Catalogue catalogue = catalogues.catalogue();
        CheckoutForm form =
                CheckoutForm.sent(catalogue.checkout(), questionnaire(baskets.lines(known(links)), sent), sent);
        CheckoutForm.require(catalogue.checkout(), contact, errors);
        if (errors.hasErrors() || !form.isRight()) {
            return page(links, form, seal, model);
        }
        Doorkeeper.Verdict verdict = trap.isEmpty()
                ? doorkeeper.judge(Doorkeeper.Purpose.CHECKOUT, known(links), seal, proof, doorkeeper.bits())
                : Doorkeeper.Verdict.SOON;
        if (verdict != Doorkeeper.Verdict.WELCOME) {
            model.addAttribute("door", verdict);
            return page(links, form, verdict == Doorkeeper.Verdict.STALE ? "" : seal, model);
        }
        OrderRequest request = new OrderRequest(
                contact,
                locale,
                form.questionnaire().answers(),
                catalogue.checkout().toAgree(),
                way,
                marks.of(visitor),
                seal,
                shown);
        try {
            Placed placed = orders.place(known(links), request);
            if (placed instanceof Placed.Done done) {
                return done.payment() == null ? page(done.order()) : pay(done.order(), way, visitor);
            }
            if (placed instanceof Placed.Changed) {
                model.addAttribute("costsChanged", true);
                return page(links, form, seal, model);
            }
            if (placed instanceof Placed.TooManyTransfers) {
                model.addAttribute("tooManyTransfers", true);
                return page(links, form, seal, model);
            }
            if (placed instanceof Placed.Stale) {
                model.addAttribute("door", Doorkeeper.Verdict.STALE);
                return page(links, form, "", model);
            }
            return "redirect:" + links.basketPage() + (placed instanceof Placed.NotToBeHad ? "?lost" : "");
        } catch (GatewayException e) {
            // Nothing was placed: the page says that nothing can be paid just now.
            LOG.warn("an order could not be placed: {}", e.getMessage());
            return page(links, form, seal, model);
        }
    }

    private Questionnaire questionnaire(List<BasketLine> lines, MultiValueMap<String, String> sent) {
        List<Questionnaire.Subject> subjects = lines.stream()
                .map(l -> new Questionnaire.Subject(l.id(), l.offer(), l.party(), l.time()))
                .toList();
        return Questionnaire.of(subjects, catalogues.catalogue(), name -> sent.getOrDefault(name, List.of()));
    }

    private String pay(Order order, String way, Visitor visitor) {
        try {
            return paying.payAddress(order, way, visitor)
                    .map(url -> "redirect:" + url)
                    .orElseGet(() -> page(order));
        } catch (GatewayException e) {
            LOG.warn("order {}: {}", order.number(), e.getMessage());
            return page(order) + "?unreachable";
        }
    }

    private static String page(Order order) {
        return "redirect:/bookings/" + order.token();
    }

    /** @param seal the one that the page had; empty: a new one */
    private String page(Links links, CheckoutForm form, String seal, Model model) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        List<BasketLine> lines = baskets.lines(known(links));
        if (baskets.isEmpty(known(links)) || lines.stream().anyMatch(l -> !l.isHeld(now))) {
            return "redirect:" + links.basketPage();
        }
        Bill bill = baskets.bill(known(links), lines);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Offer offer = catalogue.offer(lines.get(i).offer());
            Instant free = offer.terms()
                    .freeUntil(lines.get(i).time().startInstant())
                    .filter(now::isBefore)
                    .orElse(null);
            rows.add(new Row(lines.get(i), offer, bill.quote().lines().get(i), free));
        }
        model.addAttribute("rows", rows);
        model.addAttribute("bill", bill);
        model.addAttribute("ways", bill.dueNow().isZero() ? List.of() : paying.ways(lines, bill));
        model.addAttribute("form", form);
        model.addAttribute("seal", seal.isEmpty() ? doorkeeper.seal(Doorkeeper.Purpose.CHECKOUT, known(links)) : seal);
        model.addAttribute("bits", doorkeeper.bits());
        model.addAttribute("pause", doorkeeper.pause());
        model.addAttribute(
                "proves", catalogue.checkout().confirmByMail() && bill.due().isZero());
        model.addAttribute(
                "asks", !rows.isEmpty() && rows.stream().allMatch(r -> r.offer().confirm() == Offer.Confirm.BY_HAND));
        return "checkout/checkout";
    }

    private static String known(Links links) {
        if (links.basket() == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return links.basket();
    }
}
