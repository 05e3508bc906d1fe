package gastfreund.app.several;

import gastfreund.core.offers.StaffId;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What is done with one of several bookings.
 *
 * @param to who takes over; null where nobody does
 */
public record Doing(Kind kind, @Nullable StaffId to) {

    /** What can be done. */
    public enum Kind {
        /** It stays as it is; its guest may be written to all the same. */
        STAY,
        /** Somebody else serves it at the same time and price. */
        HAND_OVER,
        /** It is cancelled, and all that was paid goes back. */
        CANCEL
    }

    static final Doing STAY = new Doing(Kind.STAY, null);
    static final Doing CANCEL = new Doing(Kind.CANCEL, null);
    private static final String TO = "to-";

    static Doing handOver(StaffId person) {
        return new Doing(Kind.HAND_OVER, person);
    }

    /** As forms say it: {@code stay}, {@code cancel}, or {@code to-} with a person. */
    static Doing of(@Nullable String code) {
        return code == null
                ? STAY
                : code.equals("cancel")
                        ? CANCEL
                        : code.startsWith(TO) && !code.substring(TO.length()).isBlank()
                                ? handOver(new StaffId(code.substring(TO.length())))
                                : STAY;
    }

    String code() {
        return switch (kind) {
            case STAY -> "stay";
            case CANCEL -> "cancel";
            case HAND_OVER -> TO + Optional.ofNullable(to).orElseThrow().value();
        };
    }
}
