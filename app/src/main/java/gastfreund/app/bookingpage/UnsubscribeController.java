package gastfreund.app.bookingpage;

import gastfreund.app.letters.Unsubscribing;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Ends letters after bookings: by a click in the guest's mail program, which posts here (RFC 8058), or on the page, where they can
 * be had again, too.
 */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/letters")
class UnsubscribeController {

    /**
     * @param booking the address of the guest's page
     * @param ended whether they want none
     */
    public record LettersPage(String booking, boolean ended) {}

    private final Unsubscribing unsubscribing;

    UnsubscribeController(Unsubscribing unsubscribing) {
        this.unsubscribing = unsubscribing;
    }

    @GetMapping
    String page(@ModelAttribute(name = "order", binding = false) Order order, Model model) {
        model.addAttribute("page", new LettersPage("/bookings/" + order.token(), unsubscribing.has(order)));
        return "bookingpage/letters";
    }

    /** @param again whether they are wanted again */
    @PostMapping
    String set(
            @ModelAttribute(name = "order", binding = false) Order order,
            @RequestParam(defaultValue = "false") boolean again) {
        unsubscribing.set(order, !again);
        return "redirect:/bookings/" + order.token() + "/letters";
    }
}
