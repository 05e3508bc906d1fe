package gastfreund.app.till;

import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** With what is paid on the spot. */
public enum Hand {
    CASH("cash"),
    TERMINAL("terminal"),
    OTHER("on-the-spot");

    private final String code;

    Hand(String code) {
        this.code = code;
    }

    /** The name in tables and forms, and the name of its payments' gateway. */
    public String code() {
        return code;
    }

    /** Empty where it is none. */
    public static Optional<Hand> find(@Nullable String code) {
        return Arrays.stream(values()).filter(h -> h.code.equals(code)).findFirst();
    }
}
