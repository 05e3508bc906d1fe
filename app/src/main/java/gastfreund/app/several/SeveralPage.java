package gastfreund.app.several;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the page of several bookings shows.
 *
 * @param title of whom, or of how many
 * @param search the person and the day
 * @param together what is said of all of them
 * @param words where the letters' words are written, and whether the day is kept free
 * @param check what would be done, in lines; empty: that was not asked yet
 * @param hidden what is sent along
 */
public record SeveralPage(
        List<Note> notes,
        String title,
        List<Field> search,
        List<Row> rows,
        List<Field> together,
        List<Field> words,
        List<String> check,
        List<Field> hidden) {

    /**
     * A booking.
     *
     * @param choice what is done with it
     * @param back what goes back where it is cancelled
     */
    public record Row(
            String address,
            String when,
            String guest,
            String reach,
            String what,
            String with,
            String back,
            Field choice) {}

    public boolean isChecked() {
        return !check.isEmpty();
    }
}
