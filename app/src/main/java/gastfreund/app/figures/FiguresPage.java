package gastfreund.app.figures;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Tab;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of figures shows.
 *
 * @param weeks how many can be chosen
 * @param beside whether the weeks before are shown, to be turned over
 * @param filters of offer and person
 * @param hidden what the filters' form keeps
 * @param files the way out
 * @param sought what was looked for and not found, the most first
 * @param drafts what this host's drafts would have sold of it; null: there are none
 */
public record FiguresPage(
        List<Tab> weeks,
        Tab beside,
        List<Field> filters,
        List<Field> hidden,
        List<Link> files,
        Bars bars,
        Heat heat,
        List<Shares> shares,
        Flow flow,
        List<Sought> sought,
        @Nullable Drafts drafts,
        List<Group> groups) {

    /** Something that leads somewhere. */
    public record Link(String words, String address) {}

    /** A picture's numbers, for those who cannot see it. */
    public record Numbers(List<String> heads, List<List<String>> rows) {}

    /**
     * Money by week.
     *
     * @param sentence what it comes to
     * @param most the name of the offer at the foot of each bar; empty: there is none
     * @param lines whether the weeks before are drawn
     */
    public record Bars(
            String sentence,
            String most,
            boolean lines,
            boolean nothing,
            List<Bar> bars,
            List<Mark> marks,
            Numbers numbers) {}

    /**
     * A bar with its lower part; lengths in the picture's own measure.
     *
     * @param line where the week before stands
     */
    public record Bar(
            double x,
            double width,
            double y,
            double height,
            double footY,
            double foot,
            double line,
            String words,
            String address) {}

    /** Words at a place. */
    public record Mark(double x, double y, String words) {}

    /**
     * How much of the time was sold, by hour of the week.
     *
     * @param cell how wide the square of an hour is
     */
    public record Heat(
            String sentence,
            double width,
            double height,
            boolean nothing,
            double cell,
            List<Mark> days,
            List<Mark> hours,
            List<Cell> cells,
            Numbers numbers) {}

    /**
     * An hour of the week.
     *
     * @param strength of its colour, from 0 to 1
     * @param closed whether nothing could be sold
     * @param address of what was; empty: nothing was
     */
    public record Cell(double x, double y, double strength, boolean closed, String words, String address) {}

    /** How much of the time of people, things or offers was sold. */
    public record Shares(String title, List<Item> rows) {}

    /**
     * Something that guests looked for and did not find.
     *
     * @param why what stood against it
     * @param ways what it would have taken; empty: no single change would have given any of it
     */
    public record Sought(int guests, String words, String why, String group, List<Way> ways) {}

    /** @param gives of how many guests, in words */
    public record Way(String key, String words, String gives) {}

    /** What this host's drafts would have sold of it. */
    public record Drafts(String words) {}

    /** From looking to coming. */
    public record Flow(boolean nothing, List<Source> rows) {}

    /** A source, and how many are at each step. */
    public record Source(String name, String address, List<Step> steps) {}

    /** @param width of its sign, in the picture's own measure */
    public record Step(int count, double width, String kind) {}

    /** Figures about one question. */
    public record Group(String title, String help, String empty, List<Item> items) {}

    /**
     * One of them.
     *
     * @param width of its bar in hundredths; 0: it has none
     * @param address of the bookings that it is made of; empty: of none
     */
    public record Item(String words, String count, int width, String before, String address) {}
}
