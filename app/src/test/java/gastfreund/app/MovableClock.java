package gastfreund.app;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** The machine's clock, which a test can move ahead. */
public final class MovableClock extends Clock {

    private volatile Duration ahead = Duration.ZERO;

    public void moveAhead(Duration by) {
        ahead = ahead.plus(by);
    }

    public void reset() {
        ahead = Duration.ZERO;
    }

    @Override
    public Instant instant() {
        return Clock.systemUTC().instant().plus(ahead);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
