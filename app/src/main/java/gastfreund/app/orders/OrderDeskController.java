package gastfreund.app.orders;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.house.Actor;
import gastfreund.app.house.Formats;
import gastfreund.app.payments.PaymentService;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;

/** Orders at the desk. */
@Controller
class OrderDeskController {

    private static final int MOST = 200;

    private final OrderService orders;
    private final OrderPages pages;
    private final PaymentService payments;
    private final Endings endings;
    private final Balances balances;
    private final Waiting waiting;
    private final Attendance attendance;
    private final Documents documents;
    private final BookingPage page;
    private final DocumentFiles files;

    OrderDeskController(
            OrderService orders,
            OrderPages pages,
            PaymentService payments,
            Endings endings,
            Balances balances,
            Waiting waiting,
            Attendance attendance,
            Documents documents,
            BookingPage page,
            DocumentFiles files) {
        this.attendance = attendance;
        this.documents = documents;
        this.page = page;
        this.files = files;
        this.endings = endings;
        this.balances = balances;
        this.waiting = waiting;
        this.orders = orders;
        this.pages = pages;
        this.payments = payments;
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders")
    String list(Model model) {
        model.addAttribute("asking", endings.asking());
        model.addAttribute("owing", balances.owing());
        List<Order> newest = orders.newest(MOST);
        model.addAttribute("orders", newest);
        model.addAttribute("goods", orders.goodsTitles(newest));
        return "orders/desk-list";
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}")
    String order(@PathVariable long number, Model model) {
        Order order = find(number);
        model.addAttribute("order", order);
        model.addAttribute("rows", pages.rows(order.lines(), (Formats) model.getAttribute("f")));
        model.addAttribute("goods", pages.goods(order));
        model.addAttribute("payments", payments.ofOrder(order.id()));
        model.addAttribute("paid", orders.paid(order));
        model.addAttribute("journal", orders.journal(order));
        model.addAttribute("endings", endings);
        model.addAttribute("attendance", attendance);
        model.addAttribute("documents", documents.ofOrder(order));
        if (!model.containsAttribute("typed")) {
            model.addAttribute("typed", Typed.nothing());
        }
        return "orders/desk-order";
    }

    /** The guest's page as the desk sees it: without the guest's link, and with nothing to press. */
    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}/page")
    String guestsPage(@PathVariable long number, Model model) {
        page.show(find(number), false, model);
        model.addAttribute("asDesk", true);
        return "orders/booking";
    }

    @Needs(Right.SEE)
    @GetMapping("/desk/orders/{number}/documents/{document}.pdf")
    ResponseEntity<byte[]> document(@PathVariable long number, @PathVariable long document) {
        return files.of(find(number), document);
    }

    private Order find(long number) {
        return orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** Calls an order off that waits for its money. */
    @Needs(Right.GIVE_MONEY)
    @PostMapping("/desk/orders/{number}/release")
    String callOff(@PathVariable long number, Actor host) {
        Order order = find(number);
        boolean done = waiting.callOff(order, host) == Endings.Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "called-off" : "changed");
    }

    @Needs(Right.GIVE_MONEY)
    @PostMapping("/desk/orders/{number}/goods/{goods}/return")
    String takeBack(@PathVariable long number, @PathVariable String goods, Actor host) {
        Order order = find(number);
        boolean done = endings.takeBack(order, goods, host) == Endings.Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "returned" : "changed");
    }
}
