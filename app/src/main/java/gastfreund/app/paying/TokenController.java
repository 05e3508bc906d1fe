package gastfreund.app.paying;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.typed.Written;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Where guests pay with a token of a wallet: on the house's own page, since the wallet has none. */
@Controller
@RequestMapping("/payments/{gateway}/tokens/{payment}")
class TokenController {

    private static final Logger LOG = LoggerFactory.getLogger(TokenController.class);
    private static final int MOST_TOKEN = 100;

    /**
     * What the page shows.
     *
     * @param sum what is to be paid, with its currency
     * @param order the address of the guest's page
     */
    public record TokenPage(
            List<Note> notes, String sum, String number, String until, Field token, String action, String order) {}

    private final PaymentService payments;
    private final Orders orders;

    TokenController(PaymentService payments, Orders orders) {
        this.payments = payments;
        this.orders = orders;
    }

    @GetMapping
    String ask(@PathVariable String gateway, @PathVariable String payment, Model model) {
        Payment asked = asked(gateway, payment);
        return isOpen(asked) ? page(asked, List.of(), "", model) : paid(asked);
    }

    @PostMapping
    String pay(
            @PathVariable String gateway,
            @PathVariable String payment,
            @RequestParam(defaultValue = "") String token,
            Model model) {
        Payment asked = asked(gateway, payment);
        Formats f = Formats.of(model);
        String typed = Written.line(token, MOST_TOKEN).replace(" ", "");
        if (!isOpen(asked)) {
            return paid(asked);
        }
        if (typed.isEmpty()) {
            return page(asked, List.of(), f.text("token.missing"), model);
        }
        try {
            String refused = payments.pay(asked, typed);
            boolean again = !refused.isEmpty() && isOpen(asked);
            return again ? page(asked, List.of(), f.text("token.refused", refused), model) : paid(asked);
        } catch (GatewayException e) {
            LOG.warn("payment of order {}: {}", order(asked).number(), e.getMessage());
            return page(asked, List.of(Note.warn(f.text("token.unreachable"))), "", model);
        }
    }

    private Payment asked(String gateway, String payment) {
        return payments.find(payment)
                .filter(p -> p.gateway().equals(gateway))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private boolean isOpen(Payment payment) {
        return payments.openForToken(payment.id()).isPresent();
    }

    private Order order(Payment payment) {
        return orders.byId(payment.order());
    }

    /** Back to the guest's page, which asks the gateway itself. */
    private String paid(Payment payment) {
        return "redirect:/bookings/" + order(payment).token() + "/paid";
    }

    private String page(Payment payment, List<Note> notes, String wrong, Model model) {
        Formats f = Formats.of(model);
        Order order = order(payment);
        model.addAttribute(
                "page",
                new TokenPage(
                        notes,
                        f.money(payment.amount()),
                        Long.toString(order.number()),
                        f.moment(payment.awaitedUntil()),
                        Field.line("token", f.text("token.token"), MOST_TOKEN)
                                .with("autocomplete", "one-time-code")
                                .with("autocapitalize", "characters")
                                .with("spellcheck", "false")
                                .required()
                                .help(f.text("token.help"))
                                .wrong(wrong),
                        "/payments/" + payment.gateway() + "/tokens/" + payment.id(),
                        "/bookings/" + order.token()));
        return "paying/token";
    }
}
