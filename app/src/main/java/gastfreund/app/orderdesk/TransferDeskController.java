package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.payments.HandBack;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.rounds.Stuck;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Money at the desk that somebody has to see to: transfers, refunds that are sent by hand, and what does not get through. */
@Controller
@RequestMapping("/desk/payments")
class TransferDeskController {

    /** A payment with its order. */
    record Paying(Payment payment, Order order) {}

    /**
     * What does not get through although it was tried often.
     *
     * @param order null where it is about none
     */
    record Hanging(Stuck stuck, @Nullable Order order) {}

    /** A refund that is to be sent. */
    record ToSend(HandBack refund, Order order, String why) {}

    private final Orders orders;
    private final PaymentService payments;
    private final PaymentSteps steps;
    private final Rounds rounds;
    private final Clock clock;

    TransferDeskController(Orders orders, PaymentService payments, PaymentSteps steps, Rounds rounds, Clock clock) {
        this.orders = orders;
        this.payments = payments;
        this.steps = steps;
        this.rounds = rounds;
        this.clock = clock;
    }

    @Needs(Right.SEE)
    @GetMapping
    String page(Model model) {
        model.addAttribute(
                "awaited",
                payments.transfersAwaited().stream().map(this::paying).toList());
        model.addAttribute("odd", payments.odd().stream().map(this::paying).toList());
        model.addAttribute(
                "toSend",
                steps.toHandBack().stream()
                        .map(h -> new ToSend(h, orders.byId(h.order()), Cause.said(h.why(), Formats.of(model))))
                        .toList());
        model.addAttribute(
                "stuck",
                rounds.stuck().stream()
                        .map(s -> new Hanging(s, s.order() == null ? null : orders.byId(s.order())))
                        .toList());
        model.addAttribute("now", clock.instant());
        return "orderdesk/payments";
    }

    private Paying paying(Payment payment) {
        return new Paying(payment, orders.byId(payment.order()));
    }

    /** @param order the order's number, to come back to its page; absent: to the list */
    @Needs(Right.SETTLE)
    @PostMapping("/{payment}/received")
    String received(@PathVariable String payment, @RequestParam(required = false) Long order, Actor host) {
        boolean taken = payments.received(find(payment), host);
        String said = "?said=" + (taken ? "received" : "changed");
        return "redirect:" + (order == null ? "/desk/payments" : "/desk/orders/" + order) + said;
    }

    @Needs(Right.SETTLE)
    @PostMapping("/refunds/{step}/sent")
    String sent(@PathVariable String step, Actor host) {
        return "redirect:/desk/payments?said=" + (steps.handedBack(step, host) ? "sent" : "changed");
    }

    /** Somebody has looked at what a gateway said that was not what was asked for. */
    @Needs(Right.SETTLE)
    @PostMapping("/{payment}/seen")
    String seen(@PathVariable String payment) {
        payments.seenTo(find(payment));
        return "redirect:/desk/payments?said=seen";
    }

    @Needs(Right.SETTLE)
    @PostMapping("/again")
    String tryNow() {
        rounds.tryNow();
        return "redirect:/desk/payments?said=again";
    }

    private Payment find(String payment) {
        return payments.find(payment).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
