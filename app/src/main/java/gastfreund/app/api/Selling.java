package gastfreund.app.api;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.baskets.Holds;
import gastfreund.app.baskets.KeepRequest;
import gastfreund.app.baskets.Kept;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.checkout.CheckoutForm;
import gastfreund.app.checkout.OrderRequest;
import gastfreund.app.checkout.Placed;
import gastfreund.app.checkout.Placing;
import gastfreund.app.checkout.Questionnaire;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.openings.Choice;
import gastfreund.app.orders.Order;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.programs.Program;
import gastfreund.app.programs.Refused;
import gastfreund.app.secrets.Secrets;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.Validator;

/** Lets programs hold places and order them, by the rules that guests have. */
@Service
public class Selling {

    private static final int MOST_GUEST = 200;

    private final CatalogueService catalogues;
    private final BasketService baskets;
    private final Holds holds;
    private final Placing placing;
    private final Times times;
    private final Doorkeeper doorkeeper;
    private final Secrets secrets;
    private final Validator validator;
    private final MessageSource texts;

    Selling(
            CatalogueService catalogues,
            BasketService baskets,
            Holds holds,
            Placing placing,
            Times times,
            Doorkeeper doorkeeper,
            Secrets secrets,
            Validator validator,
            MessageSource texts) {
        this.catalogues = catalogues;
        this.baskets = baskets;
        this.holds = holds;
        this.placing = placing;
        this.times = times;
        this.doorkeeper = doorkeeper;
        this.secrets = secrets;
        this.validator = validator;
        this.texts = texts;
    }

    /**
     * Holds a place.
     *
     * @return the basket
     */
    String hold(Wishes.Hold wish, Program program) {
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue
                .openOffer(wish.offer())
                .orElseThrow(() -> Refused.wrong("offer", "is none that the house sells"));
        if (wish.basket() != null && !baskets.exists(wish.basket())) {
            throw Refused.wrong("basket", "is none");
        }
        if (wish.guest().length() > MOST_GUEST) {
            throw Refused.wrong("guest", "must have at most " + MOST_GUEST + " characters");
        }
        Choice choice = Chosen.of(catalogue, offer, wish.asked());
        String visitor = secrets.mark("visitor of a program", program.id() + " " + wish.guest());
        Kept kept = holds.keep(wish.basket(), KeepRequest.ofProgram(choice, wish.start(), wish.price(), visitor));
        if (kept instanceof Kept.Held held) {
            return held.basket();
        }
        throw refused(kept, choice, wish.start());
    }

    private Refused refused(Kept kept, Choice choice, long start) {
        if (kept instanceof Kept.SoldOut) {
            return Refused.because(Refused.Why.SOLD_OUT);
        }
        if (kept instanceof Kept.Dearer) {
            return Refused.because(Refused.Why.DEARER);
        }
        if (kept instanceof Kept.TooMany) {
            return Refused.because(Refused.Why.BASKET_FULL);
        }
        return kept instanceof Kept.Gone ? times.taken(choice, start) : Refused.because(Refused.Why.TOO_MUCH_HELD);
    }

    /** Gives a held place back. */
    void release(String basket, BookingId line) {
        if (!baskets.release(basket, line)) {
            throw Refused.because(Refused.Why.NOT_THERE);
        }
    }

    /** Orders a basket for a guest. */
    Order order(Wishes.Order wish, Program program, Locale asked) {
        if (!baskets.exists(wish.basket())) {
            throw Refused.wrong("basket", "is none");
        }
        Catalogue catalogue = catalogues.catalogue();
        List<BasketLine> lines = baskets.lines(wish.basket());
        if (baskets.isEmpty(wish.basket())) {
            throw Refused.because(Refused.Why.NOTHING_HELD);
        }
        Questionnaire answered = questionnaire(wish, lines, catalogue);
        List<Refused.Wrong> wrong = wrong(wish, answered, catalogue, asked);
        if (!wrong.isEmpty()) {
            throw Refused.wrong(wrong);
        }
        OrderRequest request = new OrderRequest(
                wish.contact(),
                language(wish.language(), asked, catalogue),
                answered.answers(),
                catalogue.checkout().toAgree(),
                null,
                secrets.mark(
                        "visitor of a program",
                        program.id() + " " + wish.contact().email()),
                doorkeeper.seal(Doorkeeper.Purpose.CHECKOUT, wish.basket()),
                wish.paid() != null,
                "",
                program.actor(),
                wish.paid());
        try {
            Placed placed = placing.place(wish.basket(), request);
            if (placed instanceof Placed.Done done) {
                return done.order();
            }
            throw refused(placed, wish.basket(), lines);
        } catch (GatewayException e) {
            throw Refused.because(Refused.Why.NO_WAY_TO_PAY);
        }
    }

    private static Locale language(@Nullable String said, Locale asked, Catalogue catalogue) {
        return catalogue.extras().manners().spoken(said == null ? asked : Locale.forLanguageTag(said));
    }

    private static Questionnaire questionnaire(Wishes.Order wish, List<BasketLine> lines, Catalogue catalogue) {
        List<Questionnaire.Subject> subjects = lines.stream()
                .map(l -> new Questionnaire.Subject(l.id(), l.offer(), l.party(), l.time()))
                .toList();
        return Questionnaire.of(subjects, catalogue, name -> wish.answers().stream()
                        .filter(a -> name.equals(Questionnaire.name(a.line(), a.person(), a.question())))
                        .findFirst()
                        .map(Wishes.Answer::given)
                        .orElse(List.of()))
                .checked();
    }

    private List<Refused.Wrong> wrong(Wishes.Order wish, Questionnaire answered, Catalogue catalogue, Locale asked) {
        List<Refused.Wrong> wrong = new ArrayList<>();
        BindingResult errors = new BeanPropertyBindingResult(wish.contact(), "contact");
        validator.validate(wish.contact(), errors);
        CheckoutRules rules = catalogue.checkout();
        CheckoutForm.require(rules, wish.contact(), catalogue.extras().manners().country(), errors);
        errors.getFieldErrors()
                .forEach(e -> wrong.add(
                        new Refused.Wrong(String.join(".", "contact", e.getField()), texts.getMessage(e, asked))));
        Set<String> known = new HashSet<>();
        answered.groups().forEach(g -> g.fields().forEach(field -> {
            known.add(field.name());
            if (field.isWrong()) {
                wrong.add(new Refused.Wrong(field.name(), texts.getMessage(field.error(), null, asked)));
            }
        }));
        for (int i = 0; i < wish.answers().size(); i++) {
            Wishes.Answer answer = wish.answers().get(i);
            if (!known.contains(Questionnaire.name(answer.line(), answer.person(), answer.question()))) {
                wrong.add(new Refused.Wrong("answers[" + i + "]", "is to no question of this basket"));
            }
        }
        rules.toAgree().stream()
                .filter(t -> !wish.agrees(t))
                .forEach(
                        t -> wrong.add(new Refused.Wrong("agreed", "must name " + t.id() + ": the house asks for it")));
        return wrong;
    }

    private Refused refused(Placed placed, String basket, List<BasketLine> lines) {
        if (placed instanceof Placed.NotToBeHad lost) {
            return Refused.because(Refused.Why.HOLD_OVER, more -> more.set("lines", Json.names(lost.lines())));
        }
        if (placed instanceof Placed.Empty) {
            return Refused.because(Refused.Why.NOTHING_HELD);
        }
        if (placed instanceof Placed.NoAddress) {
            return Refused.because(Refused.Why.NO_ADDRESS);
        }
        if (placed instanceof Placed.SoldOut) {
            return Refused.because(Refused.Why.SOLD_OUT);
        }
        if (placed instanceof Placed.TooManyTransfers) {
            return Refused.because(Refused.Why.TOO_MUCH_HELD);
        }
        Bill bill = baskets.bill(basket, lines);
        return Refused.because(Refused.Why.COSTS_CHANGED, more -> more.set("bill", OrderJson.bill(bill)));
    }
}
