package gastfreund.app.effects;

import gastfreund.app.pages.Note;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands at the side of a page on which something is set.
 *
 * @param changes what is not kept yet, as sentences; empty: nothing
 * @param problems what has to be put right before it can be kept
 * @param offers what becomes of offers in the next four weeks
 * @param chart the same by day; null where nothing is gained or lost
 * @param nothing whether it can be kept, and changes nothing that can be booked
 * @param remarks what else is to be known
 * @param outside how many bookings would lie outside, in words; empty: none
 * @param bookings some of them
 * @param more how many more there are, in words; empty: none
 * @param both members that somebody else changed too
 * @param last the last change that was kept; null where there is none
 */
public record Effect(
        List<String> changes,
        List<String> problems,
        List<Row> offers,
        @Nullable Chart chart,
        boolean nothing,
        List<Note> remarks,
        String outside,
        List<Link> bookings,
        String more,
        List<Both> both,
        @Nullable Last last) {

    /** @param gained {@code + 22}; empty: nothing */
    public record Row(String title, String gained, String lost) {}

    /** Four weeks, a bar a day upwards and downwards. */
    public record Chart(List<Bar> bars, String first, String last) {}

    /** @param words for those who do not see it */
    public record Bar(int x, int up, int down, String words) {}

    public record Link(String address, String words) {}

    /**
     * A member that two hosts changed.
     *
     * @param document and member: what is sent where theirs is to count
     */
    public record Both(String document, String member, String label, String mine, String theirs) {}

    /**
     * @param keeping what is undone; 0: it cannot be any more
     * @param undo where that is sent
     */
    public record Last(String words, long keeping, String undo) {}

    public boolean any() {
        return !changes.isEmpty() || !problems.isEmpty();
    }
}
