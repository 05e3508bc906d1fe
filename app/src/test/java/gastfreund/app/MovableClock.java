package gastfreund.app;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/**
 * A clock that stood at one morning when the tests began, whatever day it is outside, goes on from there, and can be moved
 * ahead by a test.
 */
public final class MovableClock extends Clock {

    /** A Wednesday morning in the house's town. */
    private static final Instant MORNING = Instant.parse("2027-01-13T08:30:00Z");

    /** How far the tests are ahead of the machine; the stand-ins are as far. */
    public static final Duration AHEAD = Duration.between(Clock.systemUTC().instant(), MORNING);

    private volatile Duration ahead = Duration.ZERO;

    public void moveAhead(Duration by) {
        ahead = ahead.plus(by);
    }

    public void reset() {
        ahead = Duration.ZERO;
    }

    @Override
    public Instant instant() {
        return Clock.systemUTC().instant().plus(AHEAD).plus(ahead);
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
