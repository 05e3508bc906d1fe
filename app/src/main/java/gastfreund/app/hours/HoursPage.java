package gastfreund.app.hours;

import gastfreund.app.effects.Effect;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of somebody's hours shows.
 *
 * @param address of the page
 * @param axis the hours along the top
 * @param remarks what is to be known about these hours
 * @param asHouse whether an offer goes by the hours of the house
 * @param ownHours whether an offer has hours of its own
 * @param offers whom a window can be for
 * @param copyDays the days that can be copied, and to which
 * @param others whose week can be made the same; null where the host may change no other's
 * @param months those that are shown of the days that differ
 * @param differ the fields for a day that differs
 * @param differing the days that differ
 */
public record HoursPage(
        String title,
        String address,
        List<Note> notes,
        List<Group> groups,
        List<Mark> axis,
        List<Day> days,
        List<String> remarks,
        boolean asHouse,
        boolean ownHours,
        List<Field.Option> offers,
        Field copyFrom,
        Field copyTo,
        @Nullable Field others,
        List<Month> months,
        List<Field> differ,
        List<Differing> differing,
        Effect effect) {

    /** Whose hours there are. */
    public record Group(String title, List<Whose> all) {}

    /**
     * @param always what is said in the place of the bars; empty: there are bars
     * @param bars by weekday, up to 16
     * @param draft whether something is not kept yet
     */
    public record Whose(
            String name, String address, boolean current, String always, List<Integer> bars, boolean draft) {}

    /** A place along the lanes, in percent. */
    public record Mark(double at, String words) {}

    /**
     * A day of the week.
     *
     * @param windows as {@code [[570, 780, ""], …]}, for the script
     * @param house when the house is open
     */
    public record Day(
            String code,
            String name,
            Field field,
            String windows,
            String said,
            List<Piece> pieces,
            List<Piece> house) {}

    /**
     * A stretch of a lane, in percent.
     *
     * @param look its class
     * @param words inside it; empty: nothing
     */
    public record Piece(double at, double width, String look, String words) {}

    /** @param first the month's first date, for the script */
    public record Month(String name, List<Cell> cells) {}

    public record Cell(int x, LocalDate date, String look) {}

    /** @param note the reason; empty: none */
    public record Differing(String dates, String figures, String note, LocalDate from, LocalDate to) {}
}
