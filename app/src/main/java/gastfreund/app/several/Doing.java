package gastfreund.app.several;

import gastfreund.core.offers.StaffId;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What is done with one of several bookings.
 *
 * @param to who takes over, or serves it at its new time; null where nobody is named
 * @param start its new time, in minutes since the epoch; 0 where it has none
 */
public record Doing(Kind kind, @Nullable StaffId to, long start) {

    /** What can be done. */
    public enum Kind {
        /** It stays as it is; its guest may be written to all the same. */
        STAY,
        /** Somebody else serves it at the same time and price. */
        HAND_OVER,
        /** It is moved to another time, at the same price. */
        MOVE,
        /** It is moved by as much as all of them. */
        SHIFT,
        /** It is cancelled, and all that was paid goes back. */
        CANCEL
    }

    static final Doing STAY = new Doing(Kind.STAY, null, 0);
    static final Doing SHIFT = new Doing(Kind.SHIFT, null, 0);
    static final Doing CANCEL = new Doing(Kind.CANCEL, null, 0);

    private static final Pattern TO = Pattern.compile("to-([^\\s-][^\\s]*+)");
    private static final Pattern AT = Pattern.compile("at-(\\d{1,10})(?:-([^\\s]++))?");

    static Doing handOver(StaffId person) {
        return new Doing(Kind.HAND_OVER, person, 0);
    }

    static Doing move(long start, @Nullable StaffId person) {
        return new Doing(Kind.MOVE, person, start);
    }

    /**
     * As forms say it: {@code stay}, {@code cancel}, {@code shift}, {@code to-} with a person, or {@code at-} with a start and
     * perhaps a person.
     */
    static Doing of(@Nullable String code) {
        String said = code == null ? "" : code;
        Matcher to = TO.matcher(said);
        if (to.matches()) {
            return handOver(new StaffId(to.group(1)));
        }
        Matcher at = AT.matcher(said);
        if (at.matches()) {
            return move(Long.parseLong(at.group(1)), at.group(2) == null ? null : new StaffId(at.group(2)));
        }
        return said.equals(CANCEL.code()) ? CANCEL : said.equals(SHIFT.code()) ? SHIFT : STAY;
    }

    String code() {
        return switch (kind) {
            case STAY -> "stay";
            case CANCEL -> "cancel";
            case SHIFT -> "shift";
            case HAND_OVER -> "to-" + Objects.requireNonNull(to).value();
            case MOVE -> "at-" + start + (to == null ? "" : "-" + to.value());
        };
    }
}
