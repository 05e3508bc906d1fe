package gastfreund.app.webhooks;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What happens, by its name in messages and on the page where it is chosen. */
public enum What {
    BOOKING_REQUESTED,
    BOOKING_CONFIRMED,
    BOOKING_MOVED,
    BOOKING_CANCELLED,
    BOOKING_DECLINED,
    BOOKING_LAPSED,
    BOOKING_COMPLETED,
    BOOKING_NO_SHOW,
    ORDER_PLACED,
    ORDER_LAPSED,
    PAYMENT_RECEIVED,
    PAYMENT_REFUNDED,
    OPENINGS_CHANGED,
    /** Sent by the house to see whether it arrives. */
    TEST_SENT;

    /** {@code booking.confirmed}. */
    public String code() {
        String name = name().toLowerCase(Locale.ROOT);
        int dot = name.indexOf('_');
        return name.substring(0, dot) + "." + name.substring(dot + 1).replace('_', '-');
    }

    /** What it is about: {@code booking}, {@code order}, {@code payment}, {@code openings} or {@code test}. */
    String subject() {
        String code = code();
        return code.substring(0, code.indexOf('.'));
    }

    /** What is told of a step of something; empty: nothing. */
    static Optional<What> find(String subject, String step) {
        String code = subject + '.' + step;
        return Arrays.stream(values()).filter(w -> w.code().equals(code)).findFirst();
    }
}
