package gastfreund.app.offerdesk;

import gastfreund.app.editing.Part;
import gastfreund.app.effects.Effect;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an offer costs, and when: a week of starts, and the rules that make their prices.
 *
 * @param address of the page, without what was asked
 * @param here the page with what was asked
 * @param lengths to choose from
 * @param parties to choose from
 * @param week which one it is
 * @param hours the columns
 * @param days the rows
 * @param rules in sentences
 * @param hindsight what the prices would have brought; empty: they are those that are kept, or nothing was booked
 * @param asked the names of what can be ticked
 * @param chosen the ladder of the start that is looked at; null: none is
 */
public record PricesPage(
        String title,
        String address,
        String here,
        List<Note> notes,
        List<Chip> lengths,
        List<Chip> parties,
        String week,
        @Nullable String earlier,
        String later,
        List<String> hours,
        List<Day> days,
        String begins,
        List<Part> rules,
        String hindsight,
        List<String> asked,
        @Nullable Chosen chosen,
        Effect effect) {

    public record Chip(String words, String address, boolean here) {}

    /** @param cells one for each hour */
    public record Day(String name, String date, List<Cell> cells) {}

    /**
     * An hour of a day.
     *
     * @param address where the start's ladder is shown; empty: nothing starts
     * @param price empty: nothing starts
     * @param left how many can still have it; empty: it is taken
     * @param shade from 0, the cheapest, to 3
     * @param changed whether it costs something else than what is kept
     * @param said all of it for those who do not see it, with the rules
     */
    public record Cell(
            String address,
            String price,
            String left,
            int shade,
            boolean taken,
            boolean changed,
            boolean chosen,
            String said) {

        static Cell empty() {
            return new Cell("", "", "", 0, false, false, false, "");
        }
    }

    /** How the price of a start comes about. */
    public record Chosen(String words, List<Rung> rungs) {}
}
