package gastfreund.app.moves;

import gastfreund.app.orders.OfItsGuest;
import gastfreund.app.orders.Order;
import gastfreund.app.pages.Partial;
import gastfreund.app.typed.Minor;
import gastfreund.app.typed.Minute;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Moving one's own booking to another time, as far as the terms let it. */
@OfItsGuest
@Controller
@RequestMapping("/bookings/{token}/lines/{booking}/move")
class MoveController {

    private final MovePages pages;

    MoveController(MovePages pages) {
        this.pages = pages;
    }

    @Partial("panel")
    @GetMapping
    String times(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String since,
            @RequestParam(required = false) @Nullable String gone,
            Model model) {
        return pages.times(MovePages.Side.ofGuest(order, booking), day, since, gone != null, model);
    }

    @GetMapping("/to")
    String change(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            Model model) {
        return pages.change(MovePages.Side.ofGuest(order, booking), start, Moves.Target.ANYONE, null, model);
    }

    @PostMapping
    String move(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam @Minor long total) {
        return pages.move(MovePages.Side.ofGuest(order, booking), Moves.Wish.ofGuest(start, Money.ofMinor(total)));
    }

    /** The same with all that follow the booking. */
    @Partial("panel")
    @GetMapping("/all")
    String timesOfAll(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam(required = false) @Nullable String day,
            @RequestParam(required = false) @Nullable String since,
            @RequestParam(required = false) @Nullable String gone,
            Model model) {
        return pages.times(MovePages.Side.ofGuest(order, booking).withAll(), day, since, gone != null, model);
    }

    @GetMapping("/all/to")
    String changeOfAll(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            Model model) {
        return pages.changeAll(MovePages.Side.ofGuest(order, booking).withAll(), start, model);
    }

    @PostMapping("/all")
    String moveAll(
            @ModelAttribute(name = "order", binding = false) Order order,
            @PathVariable BookingId booking,
            @RequestParam @Minute long start,
            @RequestParam(defaultValue = "") String shown) {
        return pages.moveAll(MovePages.Side.ofGuest(order, booking).withAll(), start, shown);
    }
}
