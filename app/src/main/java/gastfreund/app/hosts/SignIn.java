package gastfreund.app.hosts;

import java.time.Instant;
import java.util.Locale;

/**
 * Something that happened to sign-ins.
 *
 * @param host the mail address of the host; empty where the address that was typed is no host's
 * @param address where it came from
 */
public record SignIn(Instant at, String host, What what, String address) {

    /** What happened. */
    public enum What {
        IN,
        FAILED,
        OUT,
        /** The password was changed. */
        PASSWORD,
        /** All other sessions were ended. */
        ENDED;

        /** The name in tables and messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
