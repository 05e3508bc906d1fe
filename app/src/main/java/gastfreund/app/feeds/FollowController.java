package gastfreund.app.feeds;

import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** A guest's own calendar of all that they have booked, under an address that follows changes. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/follow")
public class FollowController {

    /**
     * @param booking the address of the guest's page
     * @param address of the calendar; empty: it has none yet
     * @param back to that page, in words
     */
    public record FollowPage(String booking, String address, String back) {}

    private final Feeds feeds;

    FollowController(Feeds feeds) {
        this.feeds = feeds;
    }

    private static Feed feed(Order order) {
        return Feed.guest(order.contact().email());
    }

    @GetMapping
    String page(@ModelAttribute(name = "order", binding = false) Order order, Model model) {
        model.addAttribute(
                "page",
                new FollowPage(
                        "/bookings/" + order.token(),
                        feeds.known(feed(order)).orElse(""),
                        Formats.of(model).text("booking.back")));
        return "feeds/follow";
    }

    /** Makes an address, or another in its place. */
    @PostMapping
    String make(@ModelAttribute(name = "order", binding = false) Order order) {
        feeds.renew(feed(order));
        return "redirect:/bookings/" + order.token() + "/follow";
    }
}
