package gastfreund.app.board;

import gastfreund.app.languages.Formats;
import gastfreund.app.markup.Markup;
import gastfreund.app.orderdesk.Panel;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.SideSheet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of the board shows.
 *
 * @param title of the day, or of the days
 * @param now the time of day; shown where the board has the moment
 * @param spans how many days can be shown
 * @param filters what can be looked for
 * @param side null where nothing is selected
 * @param panel what is known of the booking that is selected, and may be done with it; null: none is
 * @param notes what came of what was just done
 * @param back where the last move is taken back; empty: it cannot be
 * @param version of what it shows
 */
public record BoardPage(
        Board board,
        BoardView view,
        Ruler ruler,
        String title,
        String earlier,
        String later,
        String today,
        String now,
        List<Choosable> spans,
        List<Field> filters,
        @Nullable SideSheet side,
        @Nullable Panel panel,
        List<Note> notes,
        String back,
        String version) {

    /** Something that can be chosen by a click. */
    public record Choosable(String words, String address, boolean chosen) {}

    /** Where a guest is booked for the first day that is shown. */
    public String book() {
        return "/desk/book?day=" + view.day()
                + (view.filter().offer() == null
                        ? ""
                        : "&offer=" + view.filter().offer());
    }

    /** Draws the lanes; what is given is what {@link LaneDrawing} takes. */
    public LaneDrawing drawing(String root, String explain, boolean books) {
        return new LaneDrawing(board, root, explain, books);
    }

    /** Where a booking is shown. */
    public String to(String booking) {
        return view.selecting(booking).address();
    }

    /** What can be chosen of a filter; a house can have hundreds of offers. */
    public String optionsDrawn(Field filter) {
        Markup to = new Markup();
        for (Field.Option option : filter.options()) {
            String chosen = filter.given().contains(option.value()) ? "selected" : null;
            to.said(option.label(), "option", "value", option.value(), "selected", chosen);
        }
        return to.toString();
    }

    /**
     * The inside of the ruler's picture.
     *
     * @param root the address under which the desk lies, with a slash at its end
     */
    public String rulerDrawn(Formats f, String root) {
        return new RulerDrawing(ruler, view, f, root).drawn();
    }
}
