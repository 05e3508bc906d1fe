package gastfreund.app.start;

import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What follows the four answers.
 *
 * @param front the guests' page of what is offered
 * @param open whether the house is open to everybody already
 * @param booked the page of the test booking; empty: nobody has booked yet
 * @param letters that go out for it, as they would
 * @param todo what is still worth doing
 */
public record NextPage(
        List<Note> notes, String front, boolean open, String booked, List<Shown> letters, List<Todo> todo) {

    public record Shown(String to, String subject, String text) {}

    public record Todo(String words, String address) {}
}
