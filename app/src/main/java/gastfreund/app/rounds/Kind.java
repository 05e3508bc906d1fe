package gastfreund.app.rounds;

import java.util.Locale;

/** What rounds there are. */
public enum Kind {
    /** Mail that goes out. */
    LETTER,
    /** Captures, releases and refunds at a gateway. */
    STEP,
    /** Orders whose payment the gateway is asked about. */
    ASK,
    /** Orders that wait in vain for their money. */
    END,
    /** Requests that nobody answered. */
    UNANSWERED,
    /** Money that is asked for. */
    OWED,
    /** Letters before and after bookings. */
    TIMED,
    /** Bookings that have taken place. */
    ATTENDED,
    /** What came free for those who wait. */
    WISH,
    /** The night's backup. */
    BACKUP,
    /** Links for bookings that take place online. */
    MEETING,
    /** What is no longer to be kept. */
    TIDY;

    /** The name in tables and messages. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
