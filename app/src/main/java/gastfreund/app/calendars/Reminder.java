package gastfreund.app.calendars;

import java.time.Duration;

/** How long before a start somebody wants their calendar program to remind them. */
public enum Reminder {
    NONE("", Duration.ZERO),
    HOUR("hour", Duration.ofHours(1)),
    DAY("day", Duration.ofDays(1));

    private final String code;
    private final Duration before;

    Reminder(String code, Duration before) {
        this.code = code;
        this.before = before;
    }

    /** Reads the name in addresses; what is none reminds of nothing. */
    public static Reminder of(String code) {
        for (Reminder one : values()) {
            if (one.code.equals(code)) {
                return one;
            }
        }
        return NONE;
    }

    /** Zero where nothing is wanted. */
    Duration before() {
        return before;
    }
}
