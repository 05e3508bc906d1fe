package gastfreund.app.feeds;

import java.util.Locale;

/**
 * A calendar that can be followed.
 *
 * @param subject whose it is: an id, or a guest's mail address in small letters; empty for the house
 */
public record Feed(Kind kind, String subject) {

    /** Whose bookings are in it. */
    public enum Kind {
        HOUSE,
        PERSON,
        THING,
        GUEST;

        /** The name in tables and addresses. */
        String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** All that is booked. */
    public static Feed house() {
        return new Feed(Kind.HOUSE, "");
    }

    /** All that is booked under a mail address. */
    public static Feed guest(String email) {
        return new Feed(Kind.GUEST, email.strip().toLowerCase(Locale.ROOT));
    }
}
