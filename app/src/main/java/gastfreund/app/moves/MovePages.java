package gastfreund.app.moves;

import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.journal.Actor;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.PanelService;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.Outcome;
import gastfreund.app.pages.BoardAddress;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
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
     * @param board the address of the board from which it is moved; empty: from its order
     */
    record Side(Order order, BookingId booking, Audience by, String move, String back, String board) {

        static Side ofGuest(Order order, BookingId booking) {
            String page = "/bookings/" + order.token();
            return new Side(order, booking, Audience.GUEST, page + "/lines/" + booking + "/move", page, "");
        }

        static Side ofDesk(Order order, BookingId booking, String board) {
            String page = "/desk/orders/" + order.number();
            return new Side(
                    order,
                    booking,
                    Audience.DESK,
                    page + "/bookings/" + booking + "/move",
                    page,
                    BoardAddress.of(board));
        }

        public boolean atDesk() {
            return by == Audience.DESK;
        }

        public boolean onBoard() {
            return !board.isEmpty();
        }

        private String after(String said) {
            if (onBoard()) {
                return "redirect:" + BoardAddress.with(board, said, booking.value());
            }
            return "redirect:" + back + (atDesk() ? "?said=" + said : said.equals("moved") ? "?moved" : "");
        }

        OrderLine line() {
            return order.lineAsked(booking);
        }
    }

    /** What the page with the days shows. */
    public record Times(
            Side side, List<Note> notes, String heading, String help, OrderRows.Row row, Offer offer, Panel panel) {}

    /**
     * What the page with the new time shows.
     *
     * @param sum what it cost, costs then, and what comes back or is added
     * @param terms what is kept if it is cancelled later
     * @param fields of the decision
     * @param go what the button says
     */
    public record Change(
            Side side,
            String title,
            String before,
            String after,
            List<Rung> sum,
            List<String> terms,
            List<Note> notes,
            List<Field> fields,
            String go) {}

    private final OrderRows rows;
    private final Moves moves;
    private final PanelService panels;
    private final MovePlaces places;

    MovePages(OrderRows rows, Moves moves, PanelService panels, MovePlaces places) {
        this.places = places;
        this.rows = rows;
        this.moves = moves;
        this.panels = panels;
    }

    /** The ribbon of days around a booking. */
    String times(Side side, @Nullable String day, @Nullable String since, boolean gone, Model model) {
        OrderLine line = side.line();
        Optional<Choice> choice =
                moves.mayMove(line, side.by()) ? moves.choice(side.order(), line, side.by()) : Optional.empty();
        if (choice.isEmpty()) {
            return side.after("changed");
        }
        Choice shown = choice.get().shown(day == null ? moves.dateOf(line).toString() : day, since);
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new Times(
                        side,
                        gone ? List.of(Note.warn(f.text("move.gone"))) : List.of(),
                        side.atDesk() ? side.order().contact().name() : f.text("move.title"),
                        f.text(side.atDesk() ? "move.deskHelp" : "move.help"),
                        row(line, model),
                        shown.offer(),
                        panels.panel(shown, null)));
        return "moves/times";
    }

    /**
     * What a move to a start would do.
     *
     * @param host null where a guest moves
     */
    String change(Side side, long start, Moves.Target target, @Nullable Host host, Model model) {
        OrderLine line = side.line();
        Optional<Moves.Proposal> found = moves.mayMove(line, side.by())
                ? moves.proposal(side.order(), line, start, target, side.by())
                : Optional.empty();
        if (found.isEmpty()) {
            return gone(side);
        }
        Moves.Proposal proposal = found.get();
        boolean stays = host != null && mayNotLower(host, line, proposal.total().minor());
        boolean asks = host != null && !stays && !proposal.total().equals(line.total());
        model.addAttribute("page", change(side, row(line, model), proposal, target, asks, stays, Formats.of(model)));
        return "moves/change";
    }

    /**
     * @param asks whether whoever moves may leave the price as it was
     * @param stays whether it stays, since they may not lower it
     */
    private Change change(
            Side side,
            OrderRows.Row row,
            Moves.Proposal proposal,
            Moves.Target target,
            boolean asks,
            boolean stays,
            Formats f) {
        OrderLine line = row.line();
        List<Field> fields = new ArrayList<>();
        fields.add(Field.hidden("start", Long.toString(proposal.time().start())));
        fields.add(Field.hidden("total", Long.toString(proposal.total().minor())));
        if (target.person() != null) {
            fields.add(Field.hidden("person", target.person().value()));
        }
        if (target.inSpite()) {
            fields.add(Field.hidden("inSpite", "true"));
        }
        if (target.size() != null) {
            fields.add(Field.hidden("length", target.size().length().id().value()));
            fields.add(Field.hidden("units", Integer.toString(target.size().units())));
        }
        if (side.onBoard()) {
            fields.add(Field.hidden("board", side.board()));
        }
        if (asks) {
            fields.add(Field.tick("keepPrice", f.text("move.keepPrice", f.money(line.total())), false)
                    .id("keep-price"));
        }
        if (side.atDesk()) {
            fields.add(Field.tick("tell", f.text("desk.tell"), true));
        }
        return new Change(
                side,
                row.title(),
                when(line.time(), line.reserved().staff(), target, f),
                when(proposal.time(), proposal.option().staff(), target, f),
                sum(line, proposal, f),
                terms(line, proposal, f),
                notes(line, proposal, stays, f),
                List.copyOf(fields),
                go(side, proposal, f));
    }

    /** With the names of those who serve, where it matters who does. */
    private String when(Interval time, List<StaffId> staff, Moves.Target target, Formats f) {
        String when = f.dayAndTimes(time);
        return target.person() == null || staff.isEmpty() ? when : f.text("move.with", when, places.names(staff, f));
    }

    private List<Note> notes(OrderLine line, Moves.Proposal proposal, boolean stays, Formats f) {
        List<Note> notes = new ArrayList<>();
        if (!proposal.option().isOpen()) {
            notes.add(new Note(
                    Note.Kind.WARN,
                    f.text("move.inSpite"),
                    places.against(line.offer(), proposal.option().reasons(), proposal.time(), f)));
        }
        if (stays) {
            notes.add(Note.done(f.text("move.pricesStay", f.money(line.total()))));
        }
        return notes;
    }

    private static List<Rung> sum(OrderLine line, Moves.Proposal proposal, Formats f) {
        List<Rung> sum = new ArrayList<>();
        sum.add(Rung.of(f.text("move.before"), f.money(line.total())));
        sum.add(Rung.of(f.text("move.after"), f.money(proposal.total())));
        if (proposal.back().isPositive()) {
            sum.add(Rung.of(f.text("cancel.back"), f.money(proposal.back()), Rung.Look.TOTAL));
        }
        if (proposal.more().isPositive()) {
            sum.add(Rung.of(f.text("move.more"), f.money(proposal.more()), Rung.Look.TOTAL));
        }
        return List.copyOf(sum);
    }

    private static List<String> terms(OrderLine line, Moves.Proposal proposal, Formats f) {
        List<String> terms = new ArrayList<>();
        if (proposal.floor().isPositive()) {
            terms.add(f.text("move.floor", f.money(proposal.floor())));
        }
        if (proposal.visits() && line.covered().isPositive()) {
            terms.add(f.text("move.visits"));
        }
        return List.copyOf(terms);
    }

    private static String go(Side side, Moves.Proposal proposal, Formats f) {
        if (!side.atDesk() && proposal.back().isPositive()) {
            return f.text("move.goBack", f.money(proposal.back()));
        }
        return !side.atDesk() && proposal.more().isPositive()
                ? f.text("move.goMore", f.money(proposal.more()))
                : f.text("move.go");
    }

    String move(Side side, Moves.Wish wish) {
        return moves.move(side.order(), side.line().booking(), wish) == Outcome.DONE ? side.after("moved") : gone(side);
    }

    String takeBack(Side side, Actor who) {
        return side.after(moves.takeBack(side.order(), side.booking(), who) == Outcome.DONE ? "undone" : "changed");
    }

    /** A lower price gives money back, or waives it: whoever may not do that moves at the price there was. */
    static boolean mayNotLower(Host host, OrderLine line, long total) {
        return !host.may(Right.GIVE_MONEY) && total < line.total().minor();
    }

    private static String gone(Side side) {
        if (side.onBoard()) {
            return side.after("gone");
        }
        return "redirect:" + side.move() + "?gone";
    }

    private OrderRows.Row row(OrderLine line, Model model) {
        return rows.rows(List.of(line), Formats.of(model)).get(0);
    }
}
