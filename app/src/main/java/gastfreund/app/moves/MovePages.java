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
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
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
     * @param all whether those that follow move along
     */
    record Side(Order order, BookingId booking, Audience by, String move, String back, String board, boolean all) {

        static Side ofGuest(Order order, BookingId booking) {
            String page = "/bookings/" + order.token();
            return new Side(order, booking, Audience.GUEST, page + "/lines/" + booking + "/move", page, "", false);
        }

        /** The same with all that follow. */
        Side withAll() {
            return new Side(order, booking, by, move + "/all", back, board, true);
        }

        static Side ofDesk(Order order, BookingId booking, String board) {
            String page = "/desk/orders/" + order.number();
            return new Side(
                    order,
                    booking,
                    Audience.DESK,
                    page + "/bookings/" + booking + "/move",
                    page,
                    BoardAddress.of(board),
                    false);
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

    /**
     * What the page with the days shows.
     *
     * @param together where those that follow move too
     */
    public record Times(
            Side side,
            List<Note> notes,
            String heading,
            String help,
            OrderRows.Row row,
            Offer offer,
            Panel panel,
            Link together) {}

    /**
     * Where those that follow move too.
     *
     * @param address empty: none does, or they do already
     */
    public record Link(String address, String words) {}

    /**
     * What the page with the new time shows.
     *
     * @param sum what it cost, costs then, and what comes back or is added
     * @param terms what is kept if it is cancelled later
     * @param fields of the decision
     * @param go what the button says
     * @param others those that move along, with where each goes
     * @param together where those that follow move too
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
            String go,
            List<Other> others,
            Link together) {

        /**
         * One that moves along.
         *
         * @param after where it goes; empty: it stays
         */
        public record Other(String before, String after) {}
    }

    private final OrderRows rows;
    private final Moves moves;
    private final PanelService panels;
    private final MovePlaces places;
    private final MovesTogether together;

    MovePages(OrderRows rows, Moves moves, PanelService panels, MovePlaces places, MovesTogether together) {
        this.together = together;
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
        List<OrderLine> following = side.atDesk() ? List.of() : together.following(side.order(), line);
        Choice free = side.all()
                ? choice.get()
                        .along(
                                side.move(),
                                following.stream().map(OrderLine::booking).collect(Collectors.toSet()))
                : choice.get();
        Choice shown = free.shown(day == null ? moves.dateOf(line).toString() : day, since);
        Formats f = Formats.of(model);
        model.addAttribute(
                "page",
                new Times(
                        side,
                        gone ? List.of(Note.warn(f.text("move.gone"))) : List.of(),
                        heading(side, following.size(), f),
                        f.text(side.atDesk() ? "move.deskHelp" : "move.help"),
                        row(line, model),
                        shown.offer(),
                        panels.panel(shown, null),
                        together(side, following.size(), "", f)));
        return "moves/times";
    }

    private static String heading(Side side, int following, Formats f) {
        if (side.atDesk()) {
            return side.order().contact().name();
        }
        return side.all() ? f.text("move.allTitle", following + 1) : f.text("move.title");
    }

    private static Link together(Side side, int following, String to, Formats f) {
        return following == 0 || side.all()
                ? new Link("", "")
                : new Link(side.withAll().move() + to, f.text("move.together", following));
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
        int following =
                side.atDesk() ? 0 : together.following(side.order(), line).size();
        model.addAttribute(
                "page", change(side, row(line, model), proposal, target, asks, stays, following, Formats.of(model)));
        return "moves/change";
    }

    /**
     * @param asks whether whoever moves may leave the price as it was
     * @param stays whether it stays, since they may not lower it
     * @param following how many could move along
     */
    private Change change(
            Side side,
            OrderRows.Row row,
            Moves.Proposal proposal,
            Moves.Target target,
            boolean asks,
            boolean stays,
            int following,
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
                sum(line.total(), proposal.total(), proposal.back(), proposal.more(), f),
                terms(proposal.floor(), proposal.visits() && line.covered().isPositive(), f),
                notes(line, proposal, stays, f),
                List.copyOf(fields),
                go(side, proposal.back(), proposal.more(), f),
                List.of(),
                together(side, following, "/to?start=" + proposal.time().start(), f));
    }

    /**
     * What a move of a booking and of all that follow it would do.
     *
     * @param start of the first
     */
    String changeAll(Side side, long start, Model model) {
        Optional<MovesTogether.Together> found = together.look(side.order(), side.line(), start);
        if (found.isEmpty()) {
            return gone(side);
        }
        Formats f = Formats.of(model);
        MovesTogether.Together all = found.get();
        MovesTogether.One first = all.all().get(0);
        Money before =
                Money.sum(all.moving().stream().map(o -> o.line().total()).toList());
        Money after =
                Money.sum(all.moving().stream().map(o -> o.asked().total()).toList());
        Money floor =
                Money.sum(all.moving().stream().map(o -> o.asked().floor()).toList());
        boolean visits = all.moving().stream()
                .anyMatch(o -> o.asked().visits() && o.line().covered().isPositive());
        boolean someStay = all.moving().size() < all.all().size();
        model.addAttribute(
                "page",
                new Change(
                        side,
                        first.line().sold().title(),
                        f.dayAndTimes(first.line().time()),
                        f.dayAndTimes(first.asked().time()),
                        sum(before, after, all.back(), all.more(), f),
                        terms(floor, visits, f),
                        someStay ? List.of(Note.warn(f.text("move.someStay"))) : List.of(),
                        List.of(Field.hidden("start", Long.toString(start)), Field.hidden("shown", all.mark())),
                        go(side, all.back(), all.more(), f),
                        all.all().stream()
                                .skip(1)
                                .map(o -> new Change.Other(
                                        f.dayAndTimes(o.line().time()),
                                        o.moves() ? f.dayAndTimes(o.asked().time()) : ""))
                                .toList(),
                        new Link("", "")));
        return "moves/change";
    }

    String moveAll(Side side, long start, String shown) {
        return together.move(side.order(), side.line().booking(), start, shown) == Outcome.DONE
                ? side.after("moved")
                : gone(side);
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

    private static List<Rung> sum(Money before, Money after, Money back, Money more, Formats f) {
        List<Rung> sum = new ArrayList<>();
        sum.add(Rung.of(f.text("move.before"), f.money(before)));
        sum.add(Rung.of(f.text("move.after"), f.money(after)));
        if (back.isPositive()) {
            sum.add(Rung.of(f.text("cancel.back"), f.money(back), Rung.Look.TOTAL));
        }
        if (more.isPositive()) {
            sum.add(Rung.of(f.text("move.more"), f.money(more), Rung.Look.TOTAL));
        }
        return List.copyOf(sum);
    }

    /** @param visits whether what a pass paid is used up from then on */
    private static List<String> terms(Money floor, boolean visits, Formats f) {
        List<String> terms = new ArrayList<>();
        if (floor.isPositive()) {
            terms.add(f.text("move.floor", f.money(floor)));
        }
        if (visits) {
            terms.add(f.text("move.visits"));
        }
        return List.copyOf(terms);
    }

    private static String go(Side side, Money back, Money more, Formats f) {
        if (!side.atDesk() && back.isPositive()) {
            return f.text("move.goBack", f.money(back));
        }
        return !side.atDesk() && more.isPositive() ? f.text("move.goMore", f.money(more)) : f.text("move.go");
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
