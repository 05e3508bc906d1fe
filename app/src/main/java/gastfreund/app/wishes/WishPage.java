package gastfreund.app.wishes;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * Where a wish is written.
 *
 * @param title of the offer
 * @param when the session that is wished for, in words; empty: dates are asked
 * @param action where it is sent
 * @param back the offer's page
 */
public record WishPage(
        List<Note> notes,
        String title,
        String when,
        List<Field> hidden,
        List<Field> fields,
        String action,
        String back) {

    /**
     * What has become of a wish.
     *
     * @param state in words
     * @param stands where it stands in the list; empty: it no longer waits
     * @param facts what is wished for
     * @param book the address of what is kept for it; empty: nothing is
     * @param until until when it is kept, in words; empty: nothing is
     * @param leave where it is taken off the list; empty: it is on it no longer
     * @param again where it is put on the list again; empty: it is on it, or its dates are over
     */
    public record Wished(
            List<Note> notes,
            String title,
            String state,
            String stands,
            List<Fact> facts,
            String book,
            String until,
            String leave,
            String again,
            String offer) {}

    /** Something that is wished for. */
    public record Fact(String name, String words) {}
}
