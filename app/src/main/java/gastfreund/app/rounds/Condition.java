package gastfreund.app.rounds;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * How a part of the house goes.
 *
 * @param waiting how many things wait to be done
 * @param since since when the first of them waits, or when what is done again and again was done last; null: there is none
 * @param about names of what does not do what it should, for people to read
 */
public record Condition(State state, int waiting, @Nullable Instant since, List<String> about) {

    /** What it means. */
    public enum State {
        /** It does what it should. */
        GOOD,
        /** It has taken longer than it should, and may still come. */
        LATE,
        /** It does not come without somebody. */
        STUCK,
        /** The house does not have it. */
        OFF;

        /** The name in messages. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Condition {
        about = List.copyOf(about);
    }

    public static Condition off() {
        return new Condition(State.OFF, 0, null, List.of());
    }

    /**
     * Of what waits, by how long the first of it has.
     *
     * @param late from when on it is late (inclusive)
     * @param stuck from when on it is stuck (inclusive)
     */
    public static Condition waiting(int waiting, @Nullable Instant since, Instant now, Duration late, Duration stuck) {
        return new Condition(state(since, now, late, stuck), waiting, since, List.of());
    }

    /** {@link State#GOOD} where {@code since} is null. */
    public static State state(@Nullable Instant since, Instant now, Duration late, Duration stuck) {
        if (since == null || since.plus(late).isAfter(now)) {
            return State.GOOD;
        }
        return since.plus(stuck).isAfter(now) ? State.LATE : State.STUCK;
    }
}
