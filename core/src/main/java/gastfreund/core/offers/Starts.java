package gastfreund.core.offers;

import java.util.List;

/** At which times an offer in mode {@code open} may start ({@code docs/openings.md}, "Candidate starts"). */
public sealed interface Starts {

    /** At these local times on every date, in minutes after midnight (0 to 1439), ascending. */
    record At(List<Integer> minutesOfDay) implements Starts {
        public At {
            minutesOfDay = minutesOfDay.stream().distinct().sorted().toList();
            if (minutesOfDay.stream().anyMatch(m -> m < 0 || m > 1439)) {
                throw new IllegalArgumentException("a start lies within a day");
            }
        }
    }

    /** At every local time of day {@code m} minutes after midnight with {@code (m − offset) mod every = 0}. */
    record Clock(int every, int offset) implements Starts {
        public Clock {
            if (every < 1) {
                throw new IllegalArgumentException("every must be at least 1");
            }
        }
    }

    /** Every so many elapsed minutes from the start of each stretch in which all layers of hours are open. */
    record FromWindow(int every) implements Starts {
        public FromWindow {
            if (every < 1) {
                throw new IllegalArgumentException("every must be at least 1");
            }
        }
    }

    /** Every half hour of the clock. */
    static Starts usual() {
        return new Clock(30, 0);
    }
}
