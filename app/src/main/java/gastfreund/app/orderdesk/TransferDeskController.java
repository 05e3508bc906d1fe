package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.HandBack;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.payments.PaymentSteps;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.rounds.Stuck;
import java.time.Clock;
import java.time.Instant;
import java.util.Objects;
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

    @Needs(Right.SETTLE)
    @GetMapping
    String page(@RequestParam(required = false) @Nullable String said, Host host, Model model) {
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new PaymentsPage(
                        Note.said(said, f.words()).stream().toList(),
                        payments.odd().stream().map(p -> odd(p, f)).toList(),
                        rounds.stuck().stream().map(s -> stuck(s, f)).toList(),
                        steps.toHandBack().stream().map(h -> toSend(h, f)).toList(),
                        payments.transfersAwaited().stream()
                                .map(p -> awaited(p, f))
                                .toList(),
                        host.may(Right.SETTLE),
                        host.may(Right.WAYS)));
        return "orderdesk/payments";
    }

    private PaymentsPage.About about(@Nullable Long id) {
        if (id == null) {
            return PaymentsPage.About.NOTHING;
        }
        Order order = orders.byId(id);
        return new PaymentsPage.About(
                Long.toString(order.number()), order.contact().name());
    }

    private PaymentsPage.Odd odd(Payment payment, Formats f) {
        return new PaymentsPage.Odd(
                about(payment.order()),
                f.text("odd.asked", f.money(payment.amount())),
                f.text("odd.said", Objects.requireNonNull(payment.oddity())),
                "/desk/payments/" + payment.id() + "/seen");
    }

    private PaymentsPage.Hanging stuck(Stuck stuck, Formats f) {
        return new PaymentsPage.Hanging(
                about(stuck.order()),
                f.text("stuck." + stuck.kind()),
                f.text("stuck.tries", stuck.tries(), f.moment(stuck.since()), f.moment(stuck.next())),
                stuck.error());
    }

    private PaymentsPage.ToSend toSend(HandBack refund, Formats f) {
        PaymentsPage.About about = about(refund.order());
        return new PaymentsPage.ToSend(
                about,
                f.money(refund.amount()),
                f.text("transfer.sendTo", about.guest()),
                f.text("transfer.cameAs", refund.reference()),
                Cause.said(refund.why(), f),
                "/desk/payments/refunds/" + refund.step() + "/sent");
    }

    private PaymentsPage.Awaited awaited(Payment payment, Formats f) {
        Instant expires = Objects.requireNonNull(payment.expires());
        boolean overdue = expires.isBefore(clock.instant());
        return new PaymentsPage.Awaited(
                about(payment.order()),
                Objects.requireNonNull(payment.reference()),
                f.money(payment.amount()),
                f.text(
                        overdue ? "transfer.overdue" : "transfer.until",
                        f.shortDay(f.zone().dateOf(expires))),
                overdue,
                "/desk/payments/" + payment.id() + "/received");
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
