package gastfreund.core.time;

/**
 * An elapsed duration in whole minutes, never negative.
 *
 * @param count how many minutes, 0 or more
 */
public record Minutes(long count) implements Comparable<Minutes> {

    /** No time at all. */
    public static final Minutes ZERO = new Minutes(0);

    /** @throws IllegalArgumentException where {@code count} is negative */
    public Minutes {
        if (count < 0) {
            throw new IllegalArgumentException("minutes must not be negative: " + count);
        }
    }

    /** @throws IllegalArgumentException where {@code count} is negative */
    public static Minutes of(long count) {
        return count == 0 ? ZERO : new Minutes(count);
    }

    /** The sum of both durations. */
    public Minutes plus(Minutes other) {
        return of(Math.addExact(count, other.count));
    }

    /**
     * This duration so many times.
     *
     * @throws IllegalArgumentException where {@code times} is negative
     */
    public Minutes times(long times) {
        return of(Math.multiplyExact(count, times));
    }

    @Override
    public int compareTo(Minutes other) {
        return Long.compare(count, other.count);
    }
}
