package gastfreund.app.orders;

import gastfreund.app.house.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PanelService;
import gastfreund.core.hours.Audience;
import gastfreund.core.openings.BookingId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.server.ResponseStatusException;

/** What the pages of a move show, to guests and at the desk. */
@Component
class MovePages {

    private final OrderPages pages;
    private final Moves moves;
    private final PanelService panels;

    MovePages(OrderPages pages, Moves moves, PanelService panels) {
        this.pages = pages;
        this.moves = moves;
        this.panels = panels;
    }

    /** The ribbon of days around a booking; false where it may not be moved. */
    boolean times(Order order, BookingId booking, Audience by, String day, String from, Model model) {
        OrderLine line = line(order, booking);
        Optional<Choice> found = moves.mayMove(line, by) ? moves.choice(order, line, by) : Optional.empty();
        if (found.isEmpty()) {
            return false;
        }
        Choice choice = found.get();
        show(order, line, model);
        model.addAttribute("offer", choice.offer());
        model.addAttribute("panel", panels.panel(choice.shown(day == null ? moves.dateOf(line).toString() : day, from), null));
        return true;
    }

    /** What a move to a start would do; false where it cannot be had. */
    boolean proposal(Order order, BookingId booking, Audience by, long start, Model model) {
        OrderLine line = line(order, booking);
        Optional<Moves.Proposal> proposal =
                moves.mayMove(line, by) ? moves.proposal(order, line, start, by) : Optional.empty();
        proposal.ifPresent(p -> {
            show(order, line, model);
            model.addAttribute("proposal", p);
        });
        return proposal.isPresent();
    }

    private void show(Order order, OrderLine line, Model model) {
        model.addAttribute("order", order);
        model.addAttribute("row", pages.rows(List.of(line), (Formats) model.getAttribute("f")).get(0));
    }

    /** @throws ResponseStatusException where the order has no such line */
    static OrderLine line(Order order, BookingId booking) {
        return order.line(booking).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }
}
