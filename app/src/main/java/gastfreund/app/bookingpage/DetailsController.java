package gastfreund.app.bookingpage;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.checkout.CheckoutForm;
import gastfreund.app.checkout.GuestFields;
import gastfreund.app.checkout.Questionnaire;
import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.TextGateway;
import gastfreund.app.orders.Contact;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import jakarta.validation.Valid;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A guest's own change of how they can be reached, and of what they answered. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/details")
public class DetailsController {

    /**
     * What the page shows.
     *
     * @param booking the address of the guest's page
     */
    public record DetailsPage(String booking, List<Note> notes, GuestFields fields) {}

    private final TextGateway texts;
    private final Details details;
    private final Orders orders;
    private final CatalogueService catalogues;

    DetailsController(TextGateway texts, Orders orders, CatalogueService catalogues, Details details) {
        this.texts = texts;
        this.details = details;
        this.orders = orders;
        this.catalogues = catalogues;
    }

    @GetMapping
    String details(@ModelAttribute(name = "order", binding = false) Order order, Model model) {
        CheckoutForm form = CheckoutForm.fresh(catalogues.catalogue().checkout(), answered(order), texts.isOffered());
        return page(order, GuestFields.of(order.contact(), null, form, Formats.of(model)), List.of(), model);
    }

    @PostMapping
    String changed(
            @ModelAttribute(name = "order", binding = false) Order order,
            @Valid @ModelAttribute("contact") Contact contact,
            BindingResult errors,
            @RequestParam MultiValueMap<String, String> sent,
            Model model) {
        CheckoutRules rules = catalogues.catalogue().checkout();
        Questionnaire questionnaire =
                questionnaire(order, name -> sent.getOrDefault(name, List.of())).checked();
        CheckoutForm.require(
                rules, contact, catalogues.catalogue().extras().manners().country(), errors);
        if (errors.hasErrors() || !questionnaire.isRight()) {
            Formats f = Formats.of(model);
            CheckoutForm form = new CheckoutForm(rules, questionnaire, List.of(), true, texts.isOffered());
            List<Note> notes = List.of(Note.bad(f.text("checkout.wrong")));
            return page(order, GuestFields.of(contact, errors, form, f), notes, model);
        }
        details.change(order, contact, questionnaire.answers());
        return "redirect:/bookings/" + order.token() + "?changed";
    }

    private static String page(Order order, GuestFields fields, List<Note> notes, Model model) {
        model.addAttribute("page", new DetailsPage("/bookings/" + order.token(), notes, fields));
        return "bookingpage/details";
    }

    private Questionnaire answered(Order order) {
        Map<String, List<String>> given = new HashMap<>();
        for (OrderLine line : order.standing()) {
            orders.answersOf(line.booking())
                    .forEach(a -> given.put(
                            Questionnaire.name(a.booking(), a.person(), a.question()),
                            a.value().lines().toList()));
        }
        return questionnaire(order, name -> given.getOrDefault(name, List.of()));
    }

    private Questionnaire questionnaire(Order order, Function<String, List<String>> given) {
        List<Questionnaire.Subject> subjects = order.standing().stream()
                .map(l -> new Questionnaire.Subject(l.booking(), l.offer(), l.party(), l.time()))
                .toList();
        return Questionnaire.of(subjects, catalogues.catalogue(), given);
    }
}
