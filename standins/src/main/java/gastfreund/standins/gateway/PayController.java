package gastfreund.standins.gateway;

import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.Duration;
import java.util.Currency;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What the one who pays sees. */
@Controller
class PayController {

    private static final Duration LATE = Duration.ofSeconds(4);

    private final Payments payments;
    private final Notifications notifications;
    private final Control control;

    PayController(Payments payments, Notifications notifications, Control control) {
        this.control = control;
        this.payments = payments;
        this.notifications = notifications;
    }

    @GetMapping("/pay/{token}")
    String page(@PathVariable String token, Model model, Locale locale) {
        return show("pay", find(token), model, locale);
    }

    @PostMapping("/pay/{token}")
    String pay(@PathVariable String token, @RequestParam Card card, Model model, Locale locale) {
        Payment payment = find(token);
        if (!control.refusal().isEmpty()) {
            refused(payment, control.refusal());
            return "redirect:" + payment.asked.returnUrl();
        }
        switch (card) {
            case WORKS -> paid(payment, Duration.ZERO);
            case UNTOLD -> payments.pay(payment);
            case TWICE -> {
                paid(payment, LATE);
                tell(payment, LATE.plusSeconds(1));
            }
            case REFUSED -> refused(payment, "The bank refused the card.");
            case CONFIRM -> {
                return show("confirm", payment, model, locale);
            }
            case SILENT -> {
                return "redirect:" + payment.asked.returnUrl();
            }
        }
        return "redirect:" + payment.asked.returnUrl();
    }

    @PostMapping("/pay/{token}/confirm")
    String confirm(@PathVariable String token, @RequestParam boolean yes) {
        Payment payment = find(token);
        if (yes) {
            paid(payment, Duration.ZERO);
        } else {
            refused(payment, "The second confirmation was declined.");
        }
        return "redirect:" + payment.asked.returnUrl();
    }

    /** How many notifications about a payment were taken: for whoever wants to know that none is on its way. */
    @GetMapping("/gateway/notifications/{payment}")
    @ResponseBody
    String taken(@PathVariable String payment) {
        return Integer.toString(notifications.taken(payment));
    }

    private void paid(Payment payment, Duration pause) {
        if (payments.pay(payment)) {
            tell(payment, pause);
        }
    }

    private void refused(Payment payment, String reason) {
        if (payments.refuse(payment, reason)) {
            tell(payment, Duration.ZERO);
        }
    }

    /** Tells what became of a payment, in the way that is asked for. */
    private void tell(Payment payment, Duration pause) {
        String address = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
        Payment.Told now = payment.told(address);
        for (Control.Sending sending : control.sendings()) {
            notifications.send(payment, sending.before() ? now.asIfOpen() : now, pause.plus(sending.pause()));
        }
    }

    private Payment find(String token) {
        return payments.byToken(token).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static String show(String view, Payment payment, Model model, Locale locale) {
        model.addAttribute("token", payment.token);
        model.addAttribute("open", payment.isOpen());
        model.addAttribute("state", payment.state);
        model.addAttribute("description", payment.asked.description());
        model.addAttribute("returnUrl", payment.asked.returnUrl());
        model.addAttribute("amount", format(payment.asked, locale));
        model.addAttribute("cards", Card.values());
        return "standins/" + view;
    }

    private static String format(Payment.Asked asked, Locale locale) {
        Currency currency = Currency.getInstance(asked.currency());
        NumberFormat format = NumberFormat.getCurrencyInstance(locale);
        format.setCurrency(currency);
        int digits = Math.max(0, currency.getDefaultFractionDigits());
        format.setMinimumFractionDigits(digits);
        format.setMaximumFractionDigits(digits);
        return format.format(BigDecimal.valueOf(asked.amount(), digits));
    }
}
