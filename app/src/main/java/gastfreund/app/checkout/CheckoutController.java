package gastfreund.app.checkout;

import gastfreund.app.accounts.Account;
import gastfreund.app.accounts.Accounts;
import gastfreund.app.accounts.EnterController;
import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Holds;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.TextGateway;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.strangers.Visitor;
import gastfreund.app.strangers.VisitorMarks;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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

    /**
     * What was sent, and what came of it.
     *
     * @param errors what is wrong with the contact; null: nothing was sent
     * @param way the way to pay that was chosen; null: none
     * @param seal the one that the page had; empty: a new one is made
     * @param account in which its guest is
     * @param notes what is said of it
     */
    private record Sent(
            Contact contact,
            @Nullable BindingResult errors,
            CheckoutForm form,
            @Nullable String way,
            String seal,
            Optional<Account> account,
            List<Note> notes) {

        Sent with(String anotherSeal, Note note) {
            return new Sent(contact, errors, form, way, anotherSeal, account, List.of(note));
        }
    }

    private final TextGateway texts;
    private final Placing orders;
    private final OrderPayments paying;
    private final BasketService baskets;
    private final Holds holds;
    private final CatalogueService catalogues;
    private final Doorkeeper doorkeeper;
    private final VisitorMarks marks;
    private final CheckoutPages pages;
    private final Accounts accounts;
    private final Orders books;
    private final Clock clock;

    CheckoutController(
            TextGateway texts,
            Placing orders,
            OrderPayments paying,
            BasketService baskets,
            Holds holds,
            CatalogueService catalogues,
            Doorkeeper doorkeeper,
            VisitorMarks marks,
            CheckoutPages pages,
            Accounts accounts,
            Orders books,
            Clock clock) {
        this.accounts = accounts;
        this.books = books;
        this.texts = texts;
        this.orders = orders;
        this.paying = paying;
        this.baskets = baskets;
        this.holds = holds;
        this.catalogues = catalogues;
        this.doorkeeper = doorkeeper;
        this.marks = marks;
        this.pages = pages;
        this.clock = clock;
    }

    @GetMapping("/basket/{basket}/checkout")
    String checkout(
            Optional<Account> account, @ModelAttribute(name = "links", binding = false) Links links, Model model) {
        if (mustEnter(account)) {
            return enter(links);
        }
        Questionnaire questionnaire = questionnaire(baskets.lines(known(links)), new LinkedMultiValueMap<>());
        CheckoutForm form = CheckoutForm.fresh(catalogues.catalogue().checkout(), questionnaire, texts.isOffered());
        Contact contact = account.map(a -> books.contactOf(a.email())).orElse(Contact.empty());
        return page(links, new Sent(contact, null, form, null, "", account, List.of()), model);
    }

    /** Whether nothing is ordered without an account, and whoever asks is in none. */
    private boolean mustEnter(Optional<Account> account) {
        return account.isEmpty() && accounts.chosen() == CheckoutRules.Accounts.REQUIRED;
    }

    private static String enter(Links links) {
        return "redirect:" + EnterController.address(links.basketPage() + "/checkout");
    }

    @PostMapping("/basket/{basket}/checkout")
    String order(
            Optional<Account> account,
            @Valid @ModelAttribute("contact") Contact typed,
            BindingResult errors,
            @RequestParam MultiValueMap<String, String> sent,
            @RequestParam(defaultValue = "") String seal,
            @RequestParam(defaultValue = "") String proof,
            @RequestParam(required = false) String way,
            @RequestParam(defaultValue = "") String shown,
            @RequestParam(name = "website", defaultValue = "") String trap,
            @RequestParam(required = false) @Nullable String longer,
            @ModelAttribute(name = "links", binding = false) Links links,
            Visitor visitor,
            Locale locale,
            Model model) {
        if (mustEnter(account)) {
            return enter(links);
        }
        Catalogue catalogue = catalogues.catalogue();
        Contact contact = accounts.chosen() == CheckoutRules.Accounts.REQUIRED
                ? typed.at(account.orElseThrow().email())
                : typed;
        CheckoutForm form = CheckoutForm.sent(
                catalogue.checkout(), questionnaire(baskets.lines(known(links)), sent), sent, texts.isOffered());
        CheckoutForm.require(
                catalogue.checkout(), contact, catalogue.extras().manners().country(), errors);
        Formats f = Formats.of(model);
        if (longer != null) {
            // What was typed stays, and nothing of it is judged yet.
            boolean extended = holds.extend(known(links));
            List<Note> notes = extended ? List.of(Note.done(f.text("basket.longerDone"))) : List.of();
            CheckoutForm unjudged = CheckoutForm.typed(
                    catalogue.checkout(), questionnaire(baskets.lines(known(links)), sent), sent, texts.isOffered());
            return page(links, new Sent(contact, null, unjudged, way, seal, account, notes), model);
        }
        Sent attempt = new Sent(contact, errors, form, way, seal, account, List.of());
        if (errors.hasErrors() || !form.isRight()) {
            return page(links, attempt.with(seal, Note.bad(f.text("checkout.wrong"))), model);
        }
        Doorkeeper.Verdict verdict = trap.isEmpty()
                ? doorkeeper.judge(Doorkeeper.Purpose.CHECKOUT, known(links), seal, proof, doorkeeper.bits())
                : Doorkeeper.Verdict.SOON;
        if (verdict != Doorkeeper.Verdict.WELCOME) {
            return page(links, turnedAway(attempt, verdict, f), model);
        }
        OrderRequest request = new OrderRequest(
                contact,
                locale,
                form.questionnaire().answers(),
                catalogue.checkout().toAgree(),
                way,
                marks.of(visitor),
                seal,
                account.filter(a -> a.email().equalsIgnoreCase(contact.email().strip()))
                        .isPresent(),
                shown);
        try {
            Placed placed = orders.place(known(links), request);
            if (placed instanceof Placed.Done done) {
                return done.payment() == null ? page(done.order()) : pay(done.order(), way, visitor);
            }
            if (placed instanceof Placed.Changed) {
                return page(links, attempt.with(seal, Note.warn(f.text("checkout.costsChanged"))), model);
            }
            if (placed instanceof Placed.TooManyTransfers) {
                return page(links, attempt.with(seal, Note.warn(f.text("checkout.tooManyTransfers"))), model);
            }
            if (placed instanceof Placed.CodeUsed used) {
                return page(links, attempt.with(seal, Note.bad(f.text("checkout.codeUsed", used.code()))), model);
            }
            if (placed instanceof Placed.Stale) {
                return page(links, turnedAway(attempt, Doorkeeper.Verdict.STALE, f), model);
            }
            if (placed instanceof Placed.SoldOut) {
                baskets.dropSoldOut(known(links));
                return "redirect:" + links.basketPage() + "?soldOut";
            }
            if (placed instanceof Placed.NoAddress) {
                return "redirect:" + WhereController.address(links);
            }
            return "redirect:" + links.basketPage() + (placed instanceof Placed.NotToBeHad ? "?lost" : "");
        } catch (GatewayException e) {
            // Nothing was placed: the page says that nothing can be paid just now.
            LOG.warn("an order could not be placed: {}", e.getMessage());
            return page(links, attempt, model);
        }
    }

    /** A stale seal is replaced; one that is only too young goes on. */
    private Sent turnedAway(Sent attempt, Doorkeeper.Verdict verdict, Formats f) {
        return verdict == Doorkeeper.Verdict.STALE
                ? attempt.with("", Note.warn(f.text("door.stale")))
                : attempt.with(attempt.seal(), Note.warn(f.text("door.soon", doorkeeper.pause())));
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

    private String page(Links links, Sent sent, Model model) {
        Instant now = clock.instant();
        List<BasketLine> lines = baskets.lines(known(links));
        if (baskets.isEmpty(known(links)) || lines.stream().anyMatch(l -> !l.isHeld(now))) {
            return "redirect:" + links.basketPage();
        }
        Catalogue catalogue = catalogues.catalogue();
        if (!BasketService.withoutAddress(lines, catalogue).isEmpty()) {
            return "redirect:" + WhereController.address(links);
        }
        Formats f = Formats.of(model);
        String seal = sent.seal().isEmpty() ? doorkeeper.seal(Doorkeeper.Purpose.CHECKOUT, known(links)) : sent.seal();
        GuestFields typed = GuestFields.of(sent.contact(), sent.errors(), sent.form(), f);
        boolean fixed = accounts.chosen() == CheckoutRules.Accounts.REQUIRED;
        GuestFields fields = fixed ? typed.withMailOfAccount() : typed;
        model.addAttribute(
                "page",
                pages.page(links, lines, fields, sent.way(), seal, access(sent.account(), links), sent.notes(), f));
        return "checkout/checkout";
    }

    private CheckoutPage.@Nullable Access access(Optional<Account> account, Links links) {
        if (accounts.chosen() == CheckoutRules.Accounts.NONE) {
            return null;
        }
        return new CheckoutPage.Access(
                account.map(Account::email).orElse(""), EnterController.address(links.basketPage() + "/checkout"));
    }

    private static String known(Links links) {
        if (links.basket() == null) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return links.basket();
    }
}
