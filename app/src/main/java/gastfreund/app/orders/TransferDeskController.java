package gastfreund.app.orders;

import gastfreund.app.payments.HandBack;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.payments.Stuck;
import java.security.Principal;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Transfers at the desk: those that are waited for, and refunds that are to be sent. */
@Controller
@RequestMapping("/desk/payments")
class TransferDeskController {

    /** A transfer that is waited for. */
    record Awaited(Payment payment, Order order) {}

    /** What a gateway does not do although it was asked often. */
    record Refused(Stuck step, Order order) {}

    /** A refund that is to be sent. */
    record ToSend(HandBack refund, Order order) {}

    private final OrderService orders;
    private final PaymentService payments;
    private final PaymentSteps steps;
    private final Clock clock;

    TransferDeskController(OrderService orders, PaymentService payments, PaymentSteps steps, Clock clock) {
        this.orders = orders;
        this.payments = payments;
        this.steps = steps;
        this.clock = clock;
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("awaited", payments.transfersAwaited().stream()
                .map(p -> new Awaited(p, orders.byId(p.order())))
                .toList());
        model.addAttribute("toSend", steps.toHandBack().stream()
                .map(h -> new ToSend(h, orders.byId(h.order())))
                .toList());
        model.addAttribute("stuck", steps.stuck().stream()
                .map(s -> new Refused(s, orders.byId(s.order())))
                .toList());
        model.addAttribute("now", clock.instant());
        return "orders/desk-payments";
    }

    /** @param order the order's number, to come back to its page; absent: to the list */
    @PostMapping("/{payment}/received")
    String received(@PathVariable String payment, @RequestParam(required = false) Long order, Principal host) {
        boolean taken = payments.received(payments.find(payment), host.getName());
        String said = "?said=" + (taken ? "received" : "changed");
        return "redirect:" + (order == null ? "/desk/payments" : "/desk/orders/" + order) + said;
    }

    @PostMapping("/refunds/{step}/sent")
    String sent(@PathVariable String step, Principal host) {
        return "redirect:/desk/payments?said=" + (steps.handedBack(step, host.getName()) ? "sent" : "changed");
    }
}
