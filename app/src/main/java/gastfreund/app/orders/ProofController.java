package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/**
 * Where the link of a letter leads by which a guest shows that the mail address is theirs. Opening it decides nothing, since
 * some mail programs open every link by themselves: the page asks.
 */
@Controller
@RequestMapping("/bookings/{token}/prove")
class ProofController {

    private final Proofs proofs;
    private final OrderPages pages;

    ProofController(Proofs proofs, OrderPages pages) {
        this.proofs = proofs;
        this.pages = pages;
    }

    @GetMapping
    String question(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(defaultValue = "") String key,
            Model model) {
        check(order, key);
        if (!order.isToBeProven()) {
            return "redirect:/bookings/" + order.token();
        }
        model.addAttribute("key", key);
        model.addAttribute("rows", pages.rows(order.lines(), (Formats) model.getAttribute("f")));
        return "orders/prove";
    }

    @PostMapping
    String prove(
            @ModelAttribute(name = "order", binding = false) Order order, @RequestParam(defaultValue = "") String key) {
        check(order, key);
        proofs.give(order);
        return "redirect:/bookings/" + order.token();
    }

    private void check(Order order, String key) {
        if (!proofs.fits(order, key)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }
}
