package gastfreund.app.orders;

import java.util.Locale;

/** Where an order stands as a whole. */
public enum OrderStatus {
    /** Its places wait for money. */
    WAITING,
    /** At least one of its bookings stands. */
    PLACED,
    /** The money did not come, or came too late, or the order was called off before. */
    LAPSED;

    /** The name in tables and messages. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    static OrderStatus ofCode(String code) {
        return valueOf(code.toUpperCase(Locale.ROOT));
    }
}
