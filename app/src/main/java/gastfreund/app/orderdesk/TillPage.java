package gastfreund.app.orderdesk;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the page of a day's money shows.
 *
 * @param came what came in by each way of paying
 * @param sum of it
 * @param entries what was taken and given by hand
 * @param drawer what should lie in the drawer now
 * @param now whether the drawer can be counted here: on the page of today
 */
public record TillPage(
        List<Note> notes,
        String title,
        String earlier,
        String later,
        String today,
        List<Way> came,
        String sum,
        List<Entry> entries,
        String drawer,
        boolean now,
        List<Doing> doings) {

    /** @param back empty: nothing went back */
    public record Way(String name, String in, String back, String rest) {}

    /** @param order its address; empty: it is about none */
    public record Entry(
            String number,
            String when,
            String what,
            String way,
            String order,
            String orderNumber,
            String who,
            String amount) {}

    /** Something that can be done with the drawer. */
    public record Doing(String action, String label, String go, String help, boolean open, List<Field> fields) {}
}
