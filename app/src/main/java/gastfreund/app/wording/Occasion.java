package gastfreund.app.wording;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Why a letter goes to a guest. */
public enum Occasion {
    /** An order's bookings stand. */
    CONFIRMED,
    /** A booking waits for the host. */
    REQUESTED,
    /** The host said no, or the time to answer is over. */
    ANSWERED,
    BALANCE,
    BALANCE_AGAIN,
    /** Some time before the start. */
    BEFORE,
    /** Some time after the end. */
    AFTER,
    /** Nobody came. */
    MISSED,
    MOVED,
    CANCELLED,
    /** Something came free for whoever waited for it. */
    PLACE_FREE,
    /** A voucher or a pass was bought. */
    ISSUED;

    /** Its name in house files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static String[] codes() {
        return List.of(values()).stream().map(Occasion::code).toArray(String[]::new);
    }

    public static Optional<Occasion> of(String code) {
        return List.of(values()).stream().filter(o -> o.code().equals(code)).findFirst();
    }

    /** Whether there can be any number of its letters, each at a time of its own. */
    public boolean isTimed() {
        return this == BEFORE || this == AFTER;
    }
}
