package gastfreund.app.baskets;

import gastfreund.app.pages.Note;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The same time again, as a guest chooses it. Every chip is a link to the same page with one thing changed.
 *
 * @param title of the offer
 * @param what party, length and what comes with it, in words
 * @param times how often
 * @param every how many weeks lie between two
 * @param sum how many dates are taken and what they cost together, in words
 * @param go what the button says; empty: there is nothing to keep
 * @param action where they are kept
 * @param price what they cost together, in minor units
 * @param door what the form that keeps them carries
 * @param back the page of the offer
 */
public record SeriesPage(
        List<Note> notes,
        String title,
        String what,
        List<Chip> times,
        List<Chip> every,
        List<Row> rows,
        String sum,
        String go,
        String action,
        long price,
        BasketAdvice.Door door,
        String back) {

    /** Something that is chosen by a click. */
    public record Chip(String name, String words, String address, boolean chosen) {}

    /**
     * A date.
     *
     * @param name by which scripts find what is to be clicked
     * @param when the date, with the times where it can be had
     * @param said with whom and for how much, or that it cannot be had
     * @param free whether it can be had
     * @param out whether it is left out
     * @param toggle where it is left out, or in again; empty: it cannot be had
     * @param nearest other times of that date
     * @param again where the wanted time stands again; null: it does
     */
    public record Row(
            String name,
            String when,
            String said,
            boolean free,
            boolean out,
            String toggle,
            List<Chip> nearest,
            @Nullable String again) {}
}
