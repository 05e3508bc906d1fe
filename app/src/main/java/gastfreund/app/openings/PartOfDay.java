package gastfreund.app.openings;

import java.time.LocalTime;
import java.util.Locale;

/** The parts of a day in which people think: each ends where the next begins. */
public enum PartOfDay {
    MORNING,
    AFTERNOON,
    EVENING;

    private static final int NOON = 12;
    private static final int EVENING_BEGINS = 17;

    /** The part in which a time of day lies. */
    public static PartOfDay of(LocalTime time) {
        return time.getHour() < NOON ? MORNING : time.getHour() < EVENING_BEGINS ? AFTERNOON : EVENING;
    }

    /** As addresses and texts call it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
