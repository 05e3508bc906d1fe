package gastfreund.app.openings;

import gastfreund.app.languages.Formats;
import gastfreund.app.markup.Markup;
import gastfreund.app.pages.Addresses;
import gastfreund.core.money.Money;
import org.jspecify.annotations.Nullable;

/** Draws the ribbon of days: with its titles, bars and prices for 35 dates it was a third of what a template took for the page. */
final class RibbonDrawing {

    private static final int WIDTH = 18;
    private static final int MIDDLE = 9;

    /** Where bars stand. */
    private static final int GROUND = 96;

    /** How high the highest bar is. */
    private static final int HIGHEST = 66;

    private final Formats f;
    private final String root;
    private final boolean agreed;
    private final @Nullable Money cheapest;

    /** @param root the address under which the house lies, with a slash at its end */
    RibbonDrawing(Panel panel, Formats f, String root) {
        this.f = f;
        this.root = root;
        this.agreed = panel.chips().agreed();
        this.cheapest = panel.ribbon().cheapest();
    }

    void day(Panel.DayLink link, Markup to) {
        Ribbon.Day day = link.day();
        int x = link.x();
        if (day.startsWeek()) {
            if (x > 0) {
                to.empty("line", "class", "week", "x1", x - 3, "x2", x - 3, "y1", 18, "y2", 104);
            }
            to.said(f.dayAndMonth(day.date()), "text", "x", x, "y", 9);
        }
        String words = words(day);
        to.open(
                        "a",
                        "class",
                        "day",
                        "rel",
                        "nofollow",
                        "href",
                        Addresses.under(root, link.address()),
                        "data-panel",
                        "day-" + day.date(),
                        "aria-current",
                        link.chosen() ? "true" : null,
                        "aria-label",
                        words)
                .said(words, "title")
                .empty("rect", "class", "hit", "x", x, "y", 12, "width", WIDTH, "height", 94);
        int height = day.height() * HIGHEST / 100;
        Money lowest = day.lowest();
        if (lowest == null) {
            to.empty("circle", "class", "dot", "cx", x + MIDDLE, "cy", GROUND - 3, "r", 2);
        } else {
            to.empty(
                    "rect",
                    "class",
                    "bar",
                    "x",
                    x + 2,
                    "y",
                    GROUND - height,
                    "width",
                    WIDTH - 4,
                    "height",
                    height,
                    "rx",
                    3,
                    "fill-opacity",
                    0.5 + day.height() / 200.0);
            if (!agreed) {
                String price = lowest.equals(cheapest) ? "price lowest" : "price";
                to.said(
                        f.bareMoney(lowest),
                        "text",
                        "class",
                        price,
                        "x",
                        x + MIDDLE,
                        "y",
                        109,
                        "text-anchor",
                        "middle");
            }
        }
        if (link.chosen()) {
            to.said(
                    Integer.toString(day.date().getDayOfMonth()),
                    "text",
                    "class",
                    "chosen",
                    "x",
                    x + MIDDLE,
                    "y",
                    lowest == null ? 84 : 90 - height,
                    "text-anchor",
                    "middle");
        }
        to.close("a");
    }

    private String words(Ribbon.Day day) {
        String found;
        if (day.why() != null) {
            found = f.text("why." + day.why().name());
        } else {
            Money lowest = day.lowest();
            String price = agreed || lowest == null ? f.text("price.agreed") : f.shortMoney(lowest);
            found = f.text("offer.dayOpen", day.slots().size(), price);
        }
        return f.shortDay(day.date()) + ": " + found;
    }
}
