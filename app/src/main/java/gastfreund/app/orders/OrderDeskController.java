package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.payments.PaymentService;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpStatus;
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

    OrderDeskController(
            OrderService orders,
            OrderPages pages,
            PaymentService payments,
            Endings endings,
            Balances balances,
            Waiting waiting,
            Attendance attendance,
            Documents documents) {
        this.attendance = attendance;
        this.documents = documents;
        this.endings = endings;
        this.balances = balances;
        this.waiting = waiting;
        this.orders = orders;
        this.pages = pages;
        this.payments = payments;
    }

    @GetMapping("/desk/orders")
    String list(Model model) {
        model.addAttribute("asking", endings.asking());
        model.addAttribute("owing", balances.owing());
        List<Order> newest = orders.newest(MOST);
        model.addAttribute("orders", newest);
        model.addAttribute("goods", orders.goodsTitles(newest));
        return "orders/desk-list";
    }

    @GetMapping("/desk/orders/{number}")
    String order(@PathVariable long number, Model model) {
        Order order = orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
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

    /** Calls an order off that waits for its money. */
    @PostMapping("/desk/orders/{number}/release")
    String callOff(@PathVariable long number, Principal host) {
        Order order = orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        boolean done = waiting.callOff(order, host.getName()) == Endings.Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "called-off" : "changed");
    }

    @PostMapping("/desk/orders/{number}/goods/{goods}/return")
    String takeBack(@PathVariable long number, @PathVariable String goods, Principal host) {
        Order order = orders.byNumber(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        boolean done = endings.takeBack(order, goods, host.getName()) == Endings.Outcome.DONE;
        return "redirect:/desk/orders/" + number + "?said=" + (done ? "returned" : "changed");
    }
}
