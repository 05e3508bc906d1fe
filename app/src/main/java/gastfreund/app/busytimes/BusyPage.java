package gastfreund.app.busytimes;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * Other calendars at the desk.
 *
 * @param whole whether it is about everybody
 */
public record BusyPage(List<Note> notes, boolean whole, List<Person> people) {

    /** Somebody who serves, with their other calendars and the fields for one more. */
    public record Person(String id, String name, List<Row> rows, Field address, Field file) {}

    /**
     * A calendar.
     *
     * @param state what was read of it, and when
     * @param wrong what is wrong with it; empty: nothing
     * @param again whether it can be read at a click
     */
    public record Row(long id, String name, String state, List<String> wrong, boolean again) {}
}
