package gastfreund.app.start;

import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Note;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of the four answers shows.
 *
 * @param answers each a sentence with its fields, and what helps with it
 * @param week the days with what is open
 * @param grows the guest's page; null where something cannot be read yet
 */
public record StartPage(List<Note> notes, List<Answer> answers, List<Day> week, @Nullable Grows grows) {

    public record Answer(int number, Clause clause, String help) {}

    /** A day of the week, drawn over the hours from 6 to 24. */
    public record Day(String name, List<Bar> bars) {}

    public record Bar(int x, int width) {}

    /**
     * The guest's page, as it grows.
     *
     * @param facts how long and how much
     * @param days the next three weeks, a bar a day
     * @param day the first day with an opening
     * @param slots what starts on it
     * @param sum how many openings there are
     */
    public record Grows(String title, String facts, List<Column> days, String day, List<Slot> slots, String sum) {}

    /** @param words for those who do not see it */
    public record Column(int x, int height, boolean first, String words) {}

    public record Slot(String times, String price) {}
}
