package gastfreund.core.offers;

/**
 * Whether several bookings share a session.
 *
 * @param shared whether they do
 * @param seats persons in one session; 0 where nobody shares
 * @param fill whether a started session is filled before another begins
 */
public record Sharing(boolean shared, int seats, Fill fill) {

    /** Which sessions are offered first. */
    public enum Fill {
        FIRST,
        SPREAD
    }

    /** Each booking is a session of its own. */
    public static Sharing none() {
        return new Sharing(false, 0, Fill.FIRST);
    }

    /** @throws IllegalArgumentException where {@code seats} is below 1 */
    public static Sharing of(int seats, Fill fill) {
        if (seats < 1) {
            throw new IllegalArgumentException("a shared session has at least one seat");
        }
        return new Sharing(true, seats, fill);
    }
}
