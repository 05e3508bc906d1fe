package gastfreund.app.moves;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.PanelService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Outcome;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Offer;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The pages of a move, for guests and at the desk: first the ribbon of days, then what the move does to the price. */
@Component
class MovePages {

    /**
     * Whose pages they are, and where they lie.
     *
     * @param move the address of the move
     * @param back where it leads when nothing is moved
     */
    record Side(Order order, BookingId booking, Audience by, String move, String back) {

        static Side ofGuest(Order order, BookingId booking) {
            String page = "/bookings/" + order.token();
            return new Side(order, booking, Audience.GUEST, page + "/lines/" + booking + "/move", page);
        }

        static Side ofDesk(Order order, BookingId booking) {
            String page = "/desk/orders/" + order.number();
            return new Side(order, booking, Audience.DESK, page + "/bookings/" + booking + "/move", page);
        }

        public boolean atDesk() {
            return by == Audience.DESK;
        }

        private String after(String said) {
            return "redirect:" + back + (atDesk() ? "?said=" + said : said.equals("moved") ? "?moved" : "");
        }

        OrderLine line() {
            return order.lineAsked(booking);
        }
    }

    /** What the page with the days shows. */
    public record Times(Side side, OrderRows.Row row, Offer offer, Panel panel) {}

    /**
     * What the page with the new time shows.
     *
     * @param asksForPrice whether whoever moves may leave the price as it was
     * @param pricesStay whether it stays, since they may not lower it
     */
    public record Change(
            Side side, OrderRows.Row row, Moves.Proposal proposal, boolean asksForPrice, boolean pricesStay) {}

    private final OrderRows rows;
    private final Moves moves;
    private final PanelService panels;

    MovePages(OrderRows rows, Moves moves, PanelService panels) {
        this.rows = rows;
        this.moves = moves;
        this.panels = panels;
    }

    /** The ribbon of days around a booking. */
    String times(Side side, @Nullable String day, @Nullable String from, @Nullable String fragment, Model model) {
        OrderLine line = side.line();
        Optional<Choice> choice =
                moves.mayMove(line, side.by()) ? moves.choice(side.order(), line, side.by()) : Optional.empty();
        if (choice.isEmpty()) {
            return side.after("changed");
        }
        Choice shown = choice.get().shown(day == null ? moves.dateOf(line).toString() : day, from);
        model.addAttribute("page", new Times(side, row(line, model), shown.offer(), panels.panel(shown, null)));
        return "panel".equals(fragment) ? "moves/times :: panel" : "moves/times";
    }

    /**
     * What a move to a start would do.
     *
     * @param host null where a guest moves
     */
    String change(Side side, long start, @Nullable Host host, Model model) {
        OrderLine line = side.line();
        Optional<Moves.Proposal> found = moves.mayMove(line, side.by())
                ? moves.proposal(side.order(), line, start, side.by())
                : Optional.empty();
        if (found.isEmpty()) {
            return gone(side);
        }
        Moves.Proposal proposal = found.get();
        boolean stays = host != null && mayNotLower(host, line, proposal.total().minor());
        boolean asks = host != null && !stays && !proposal.total().equals(line.total());
        model.addAttribute("page", new Change(side, row(line, model), proposal, asks, stays));
        return "moves/change";
    }

    String move(Side side, Moves.Wish wish) {
        return moves.move(side.order(), side.line().booking(), wish) == Outcome.DONE ? side.after("moved") : gone(side);
    }

    /** A lower price gives money back, or waives it: whoever may not do that moves at the price there was. */
    static boolean mayNotLower(Host host, OrderLine line, long total) {
        return !host.may(Right.GIVE_MONEY) && total < line.total().minor();
    }

    private static String gone(Side side) {
        return "redirect:" + side.move() + "?gone";
    }

    private OrderRows.Row row(OrderLine line, Model model) {
        return rows.rows(List.of(line), Formats.of(model)).get(0);
    }
}
