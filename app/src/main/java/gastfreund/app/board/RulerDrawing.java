package gastfreund.app.board;

import gastfreund.app.languages.Formats;
import gastfreund.app.markup.Markup;
import gastfreund.app.pages.Addresses;

/** Draws the ruler of days: 42 of them, with a dozen values each, which a template takes too long for. */
final class RulerDrawing {

    private static final int WEEK = 7;

    /** Where the bars stand. */
    private static final int GROUND = 51;

    private final Ruler ruler;
    private final BoardView view;
    private final Formats f;
    private final String root;

    /** @param root the address under which the desk lies, with a slash at its end */
    RulerDrawing(Ruler ruler, BoardView view, Formats f, String root) {
        this.ruler = ruler;
        this.view = view;
        this.f = f;
        this.root = root;
    }

    /** The inside of the ruler's picture. */
    String drawn() {
        Markup to = new Markup();
        for (int i = 0; i < ruler.days().size(); i++) {
            Ruler.Tick tick = ruler.days().get(i);
            if (i % WEEK == 0) {
                to.said(f.dayAndMonth(tick.date()), "text", "x", tick.x(), "y", 10);
            }
            day(to, tick);
            if (tick.waiting()) {
                to.empty("circle", "class", "waits", "cx", tick.x() + 13, "cy", 60, "r", 3);
            }
        }
        return to.toString();
    }

    private void day(Markup to, Ruler.Tick tick) {
        String words = f.text("board.tick", f.shortDay(tick.date()), tick.percent());
        to.open(
                        "a",
                        "href",
                        Addresses.under(root, view.on(tick.date()).address()),
                        "aria-current",
                        tick.selected() ? "date" : null,
                        "aria-label",
                        words)
                .said(words, "title")
                .empty(
                        "rect",
                        "class",
                        tick.open() ? "cell" : "cell off",
                        "x",
                        tick.x() + 0.5,
                        "y",
                        16.5,
                        "width",
                        25,
                        "height",
                        36,
                        "rx",
                        5);
        if (tick.fill() > 0) {
            to.empty(
                    "rect",
                    "class",
                    "fill",
                    "x",
                    tick.x() + 2,
                    "y",
                    GROUND - tick.fill(),
                    "width",
                    22,
                    "height",
                    tick.fill(),
                    "rx",
                    3);
        }
        to.close("a");
    }
}
