package gastfreund.core.time;

import java.time.Instant;

/**
 * A stretch of the time-line, in whole minutes since the epoch: its start belongs to it, its end does not
 * ({@code docs/openings.md}, "Time"). An interval may be empty.
 *
 * @param start the first minute that belongs to it
 * @param end the first minute after it that no longer does; never before {@code start}
 */
public record Interval(long start, long end) {

    /** @throws IllegalArgumentException where {@code end} is before {@code start} */
    public Interval {
        if (end < start) {
            throw new IllegalArgumentException("an interval cannot end before it starts: " + start + ".." + end);
        }
    }

    /**
     * From {@code start} (inclusive) to {@code end} (exclusive).
     *
     * @throws IllegalArgumentException where {@code end} is before {@code start}
     */
    public static Interval between(long start, long end) {
        return new Interval(start, end);
    }

    /** From {@code start} (inclusive), lasting {@code length} of elapsed time. */
    public static Interval startingAt(long start, Minutes length) {
        return new Interval(start, Math.addExact(start, length.count()));
    }

    /**
     * From the minute of {@code start} (inclusive) to the minute of {@code end} (exclusive).
     *
     * @throws IllegalArgumentException where either is not a whole minute, or {@code end} is before {@code start}
     */
    public static Interval between(Instant start, Instant end) {
        return new Interval(minuteOf(start), minuteOf(end));
    }

    /**
     * The minute of an instant.
     *
     * @throws IllegalArgumentException where the instant is not a whole minute
     */
    public static long minuteOf(Instant instant) {
        if (instant.getNano() != 0 || instant.getEpochSecond() % 60 != 0) {
            throw new IllegalArgumentException("not a whole minute: " + instant);
        }
        return Math.floorDiv(instant.getEpochSecond(), 60L);
    }

    /** The first minute at or after an instant, so that {@code minute < firstMinuteFrom(t)} means "before t". */
    public static long firstMinuteFrom(Instant instant) {
        long floor = Math.floorDiv(instant.getEpochSecond(), 60L);
        boolean whole = instant.getNano() == 0 && Math.floorMod(instant.getEpochSecond(), 60L) == 0;
        return whole ? floor : floor + 1;
    }

    /** The instant at which a minute begins. */
    public static Instant instantOf(long minute) {
        return Instant.ofEpochSecond(Math.multiplyExact(minute, 60L));
    }

    /** The instant at which it starts (inclusive). */
    public Instant startInstant() {
        return instantOf(start);
    }

    /** The instant at which it ends (exclusive). */
    public Instant endInstant() {
        return instantOf(end);
    }

    /** How long it lasts. */
    public Minutes length() {
        return Minutes.of(end - start);
    }

    /** Whether both have a moment in common; touching ends are none, and neither has an empty interval any. */
    public boolean overlaps(Interval other) {
        return Math.max(start, other.start) < Math.min(end, other.end);
    }

    /** Whether every moment of {@code other} belongs to this one. */
    public boolean encloses(Interval other) {
        return start <= other.start && other.end <= end;
    }

    /** This interval with {@code before} added ahead of it and {@code after} behind it. */
    public Interval widened(Minutes before, Minutes after) {
        return new Interval(Math.subtractExact(start, before.count()), Math.addExact(end, after.count()));
    }
}
