package gastfreund.app.secondfactor;

import java.time.Clock;

/** What the app on a host's telephone shows. */
public final class Codes {

    private Codes() {}

    public static String now(String secret, Clock clock) {
        return Totp.code(secret, Totp.step(clock.instant()));
    }
}
