package gastfreund.app.checkout;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import java.util.List;
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
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/prove")
public class ProofController {

    /**
     * What the page shows.
     *
     * @param booking the address of the guest's page
     */
    public record ProvePage(String booking, String key, List<OrderRows.Row> rows) {}

    private final Proofs proofs;
    private final OrderRows pages;

    ProofController(Proofs proofs, OrderRows pages) {
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
        String booking = "/bookings/" + order.token();
        model.addAttribute("page", new ProvePage(booking, key, pages.rows(order.lines(), Formats.of(model))));
        return "checkout/prove";
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
