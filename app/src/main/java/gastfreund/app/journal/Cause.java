package gastfreund.app.journal;

import gastfreund.app.languages.Formats;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Why something was done. It is written down by its name, with words of a person behind it where there are some, and said in
 * the language of whoever reads it.
 */
public enum Cause {
    ORDERED,
    BY_HAND,
    BROUGHT_IN,
    PAID,
    PAID_ON_THE_SPOT,
    PAID_ELSEWHERE,
    PAID_TWICE,
    PAID_OTHERWISE,
    NOT_PAID_IN_TIME,
    MORE_THAN_WAS_LEFT,
    PLACE_GONE_WHEN_PAID,
    PLACE_GONE_WHEN_CONFIRMED,
    ADDRESS_CONFIRMED,
    CALLED_OFF,
    NOBODY_CAME,
    CAME,
    CAME_LATE,
    NOT_YET_HERE,
    NOBODY_ANSWERED,
    NOT_NEEDED,
    GIVEN_BACK,
    TAKEN_BACK,
    MOVED,
    DETAILS,
    DATA_TAKEN_OUT,
    DATA_FORGOTTEN;

    private static final String BEHIND = ": ";

    /** The name in tables and texts: as it is written down without words. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** As it is written down with words behind it; without where they are blank. */
    public String with(String words) {
        return words.isBlank() ? code() : code() + BEHIND + words;
    }

    /** Whether what was written down is this cause, with words behind it or without. */
    public boolean isOf(String written) {
        return written.equals(code()) || written.startsWith(code() + BEHIND);
    }

    /** The words behind the cause that was written down; empty: there are none. */
    public static String words(String written) {
        int end = written.indexOf(BEHIND);
        return end < 0 ? "" : written.substring(end + BEHIND.length());
    }

    /** What was written down, said in a language; what is no cause was written by a person and stays as it is. */
    public static String said(String written, Formats f) {
        int end = written.indexOf(BEHIND);
        String name = end < 0 ? written : written.substring(0, end);
        Optional<Cause> cause =
                Arrays.stream(values()).filter(c -> c.code().equals(name)).findFirst();
        return cause.map(c -> f.text("cause." + c.code()) + (end < 0 ? "" : written.substring(end)))
                .orElse(written);
    }
}
