package gastfreund.app.explainer;

import gastfreund.app.openings.Sentence;
import gastfreund.app.pages.Field;
import java.util.List;

/**
 * What the day explainer shows.
 *
 * @param about what is asked for, in a line
 * @param choices the fields with which something else is asked for
 * @param refused why nothing of the kind is sold at all; empty: it is
 * @param axis the hours along the top
 * @param height of the picture, with all ribbons
 * @param candidates the starts that are judged
 * @param at the one that is looked at
 * @param why what stands against it
 * @param opens what would open it
 */
public record ExplainerPage(
        String about,
        List<Field> choices,
        String earlier,
        String later,
        String refused,
        List<Mark> axis,
        int height,
        List<Ribbon> ribbons,
        List<Candidate> candidates,
        Chosen at,
        String whyTitle,
        List<Sentence> why,
        List<Sentence> opens) {

    public record Mark(int x, String words) {}

    /**
     * One layer of the day.
     *
     * @param sub small under the title; empty: nothing
     */
    public record Ribbon(int y, String title, String sub, List<Piece> pieces) {}

    /**
     * @param look its class
     * @param words inside it; empty: nothing
     * @param address where it leads; empty: nowhere
     */
    public record Piece(int x, int width, String look, String words, String address) {}

    /**
     * A start that is judged.
     *
     * @param x from where a click means it, and how wide
     * @param tick where its start is
     * @param time shown under those that are open; empty: too near the one before
     */
    public record Candidate(
            String address, String words, int x, int width, int tick, boolean open, boolean chosen, String time) {}

    /** @param width of the whole time of the guest */
    public record Chosen(int x, int width, String time) {}
}
