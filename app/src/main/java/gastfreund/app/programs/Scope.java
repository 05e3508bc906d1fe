package gastfreund.app.programs;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a program with a key may do. */
public enum Scope {
    /** Reading orders and bookings, with who booked. */
    READ,
    /** Holding places and ordering them. */
    ORDER,
    /** Moving and cancelling bookings, as their terms say. */
    CHANGE;

    /** The name in tables, forms and the description for programs. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Optional<Scope> find(@Nullable String code) {
        return Arrays.stream(values()).filter(s -> s.code().equals(code)).findFirst();
    }
}
