package gastfreund.app.board;

import java.time.LocalDate;
import java.util.List;

/** The ruler of days: six weeks, each day with how booked it is. */
public record Ruler(List<Tick> days) {

    /** How many days it has. */
    public static final int DAYS = 42;

    /**
     * @param x where it stands in the picture
     * @param fill 0 to 34, the height of what is booked
     * @param percent of the open time that is booked
     * @param open whether the house is open at all
     * @param waiting whether something waits for an answer
     */
    public record Tick(LocalDate date, int x, int fill, int percent, boolean open, boolean waiting, boolean selected) {}
}
