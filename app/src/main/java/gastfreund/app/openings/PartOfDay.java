package gastfreund.app.openings;

import gastfreund.core.hours.Window;
import java.time.LocalTime;
import java.util.Locale;

/** The parts of a day in which people think: each ends where the next begins. */
public enum PartOfDay {
    MORNING(0, 12),
    AFTERNOON(12, 17),
    EVENING(17, 24);

    private final int from;
    private final int to;

    PartOfDay(int from, int to) {
        this.from = from;
        this.to = to;
    }

    /** The part in which a time of day lies. */
    public static PartOfDay of(LocalTime time) {
        return time.getHour() < MORNING.to ? MORNING : time.getHour() < AFTERNOON.to ? AFTERNOON : EVENING;
    }

    /** The same as hours of a date. */
    public Window window() {
        return Window.of(from * 60, to * 60);
    }

    /** As addresses and texts call it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
