package gastfreund.app.board;

import gastfreund.app.markup.Markup;
import gastfreund.app.pages.Addresses;

/** Draws what lies in a lane of the board: a full day has hundreds of blocks, which a template takes too long for. */
public final class LaneDrawing {

    private static final String ALL = "100%";

    private final Board board;
    private final String root;
    private final String explain;
    private final boolean books;

    /**
     * @param root the address under which the desk lies, with a slash at its end
     * @param explain what leads to why a time can be booked or not; a lane's name comes after it
     * @param books whether free time leads to a booking by hand
     */
    public LaneDrawing(Board board, String root, String explain, boolean books) {
        this.board = board;
        this.root = root;
        this.explain = explain;
        this.books = books;
    }

    /** The inside of a lane's picture. */
    public String of(Board.Lane lane) {
        Markup to = new Markup();
        board.hours().forEach(h -> to.empty("line", "class", "grid", "x1", h.x(), "x2", h.x(), "y1", 0, "y2", ALL));
        ground(to, lane);
        lane.blocks().forEach(b -> block(to, b));
        if (board.now() != null) {
            to.empty("line", "class", "now", "x1", board.now(), "x2", board.now(), "y1", 0, "y2", ALL);
        }
        return to.toString();
    }

    private void ground(Markup to, Board.Lane lane) {
        String why = explain.replace("{}", lane.name());
        to.open("a", "data-why", "", "href", Addresses.under(root, lane.why()), "aria-label", why)
                .said(why, "title");
        to.empty("rect", "class", "empty", "width", ALL, "height", ALL);
        int height = lane.height() - 6;
        lane.ground().forEach(g -> rect(to, "ground", g, 6, height, lane.corners()));
        lane.busy().forEach(g -> rect(to, "busy", g, 6, height, 0));
        for (Board.Word w : lane.words()) {
            to.open("svg", "x", w.x(), "width", w.width(), "y", lane.height() - 24, "height", 22)
                    .empty("rect", "class", "word-ground", "width", ALL, "height", 20, "rx", 4)
                    .said(w.text(), "text", "class", "word", "x", 6, "y", 14)
                    .close("svg");
        }
        lane.gaps().forEach(g -> gap(to, g, lane));
        for (Board.Step s : lane.level()) {
            to.empty("rect", "class", "level", "x", s.x(), "width", s.width(), "y", s.y(), "height", s.height());
            if (!s.label().isEmpty()) {
                to.open("svg", "x", s.x(), "width", s.width(), "y", s.y() - 14, "height", 14)
                        .said(s.label(), "text", "class", "level-count", "x", 2, "y", 11)
                        .close("svg");
            }
        }
        to.close("a");
    }

    private static void rect(Markup to, String what, Board.Stretch at, int y, int height, int round) {
        to.empty("rect", "class", what, "x", at.x(), "width", at.width(), "y", y, "height", height, "rx", round);
    }

    private void gap(Markup to, Board.Gap gap, Board.Lane lane) {
        to.open(
                        "rect",
                        "class",
                        "gap",
                        "data-book",
                        books ? lane.id() : null,
                        "x",
                        gap.x(),
                        "width",
                        gap.width(),
                        "y",
                        20,
                        "height",
                        58,
                        "rx",
                        10)
                .said(gap.said(), "title")
                .close("rect");
        if (!gap.words().isEmpty()) {
            to.open("svg", "x", gap.x(), "width", gap.width(), "y", 20, "height", 58)
                    .said(gap.words(), "text", "class", "gap-words", "x", 11, "y", 25)
                    .said(gap.price(), "text", "class", "gap-price", "x", 11, "y", 43)
                    .close("svg");
        }
    }

    private void block(Markup to, Board.Block b) {
        BoardBooking booking = b.booking();
        boolean movable = b.movable();
        to.open(
                        "a",
                        "href",
                        Addresses.under(root, b.address()),
                        "class",
                        signs(b),
                        "aria-label",
                        b.said(),
                        "data-said",
                        b.said(),
                        "data-booking",
                        movable ? booking.id() : null,
                        "data-order",
                        movable ? booking.order() : null,
                        "data-from",
                        movable ? booking.time().start() : null,
                        "data-to",
                        movable ? booking.time().end() : null)
                .said(b.said(), "title");
        for (Board.Stretch s : b.shoulders()) {
            rect(to, "shoulder", s, b.y() + b.height() / 2 - 12, 24, 4);
        }
        Board.Stretch whole = new Board.Stretch(b.x(), b.width());
        rect(to, "block", whole, b.y(), b.height(), 9);
        Board.Filled filled = b.filled();
        if (filled != null && !filled.empty()) {
            rect(to, "filled", new Board.Stretch(b.x(), filled.width()), b.y(), b.height(), 9);
        }
        words(to, b, filled != null && filled.dark());
        if (movable) {
            to.open("svg", "x", b.end(), "y", b.y(), "overflow", "visible")
                    .empty("rect", "class", "edge", "x", -7, "width", 11, "height", b.height())
                    .close("svg");
        }
        besides(to, b);
        to.close("a");
    }

    private static String signs(Board.Block b) {
        Board.Filled filled = b.filled();
        return (filled == null ? b.booking().sign() : filled.empty() ? "session nobody" : "session")
                + (b.selected() ? " selected" : "")
                + (b.faint() ? " faint" : "");
    }

    private static void words(Markup to, Board.Block b, boolean dark) {
        to.open("svg", "x", b.x(), "width", b.width(), "y", b.y(), "height", b.height());
        if (!b.tone().isEmpty()) {
            to.empty(
                    "rect",
                    "class",
                    "tone " + b.tone(),
                    "x",
                    3,
                    "y",
                    6,
                    "width",
                    4,
                    "height",
                    b.height() - 12,
                    "rx",
                    2);
        }
        to.said(
                b.label(),
                "text",
                "class",
                dark ? "block-title on-filled" : "block-title",
                "x",
                11,
                "y",
                b.state().isEmpty() ? b.height() / 2 + 4 : 25);
        if (!b.state().isEmpty() && !b.label().isEmpty()) {
            to.said(b.state(), "text", "class", "block-sub", "x", 11, "y", 43);
        }
        to.close("svg");
    }

    /** Who comes where the block has no room for it, and the sign of a clash. */
    private static void besides(Markup to, Board.Block b) {
        boolean clashes = !b.clash().isEmpty();
        if (!b.beside().isEmpty()) {
            to.open("svg", "x", b.x(), "y", b.y() - 16, "overflow", "visible")
                    .said(
                            b.beside(),
                            "text",
                            "class",
                            "beside",
                            "x",
                            clashes ? -5 : 0,
                            "y",
                            clashes ? b.height() / 2 + 20 : 12,
                            "text-anchor",
                            clashes ? "end" : null)
                    .close("svg");
        }
        if (clashes) {
            to.open("svg", "x", b.end(), "y", b.y(), "overflow", "visible")
                    .empty(
                            "path",
                            "class",
                            "clash",
                            "transform",
                            "translate(-9 0)",
                            "d",
                            "M0-9 9 0 0 9-9 0ZM-1.2-5h2.4v6h-2.4zM-1.2 2.8h2.4v2.4h-2.4z")
                    .close("svg");
        }
    }
}
