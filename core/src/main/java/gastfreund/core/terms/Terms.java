package gastfreund.core.terms;

import gastfreund.core.money.Money;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * The terms of an offer ({@code docs/money.md}, "Terms").
 *
 * @param tiers what a cancellation by the guest keeps, in the order in which they were given; empty: nothing before the
 *     start, everything from the start on
 * @param moveHoursBefore until how many hours before the start a guest may move the booking; empty: never
 */
public record Terms(List<Tier> tiers, OptionalInt moveHoursBefore) {

    /**
     * @param hoursBefore the tier applies from this many hours before the start, 0 or more
     * @param keep what is kept then
     */
    public record Tier(int hoursBefore, Keep keep) {}

    /** Who cancels. */
    public enum By {
        GUEST,
        HOST
    }

    /**
     * The outcome of a cancellation.
     *
     * @param tier index of the tier that applied; empty where none did or the host cancels
     * @param keep what the house keeps by the terms
     * @param refund what comes back: paid less kept, never below nothing
     * @param uncollected what is kept beyond what was paid, and not collected
     * @param mayMove whether a guest could move the booking instead
     */
    public record Outcome(OptionalInt tier, Money keep, Money refund, Money uncollected, boolean mayMove) {}

    /**
     * A stretch of time in which a cancellation by the guest keeps the same.
     *
     * @param until its last second (inclusive)
     * @param keep what the house keeps by the terms
     */
    public record Step(Instant until, Money keep) {}

    public Terms {
        tiers = List.copyOf(tiers);
        if (tiers.stream().mapToInt(Tier::hoursBefore).distinct().count() != tiers.size()) {
            throw new IllegalArgumentException("two tiers with equal hoursBefore");
        }
    }

    /** No tiers and no moves. */
    public static Terms none() {
        return new Terms(List.of(), OptionalInt.empty());
    }

    /** The tier that applies at {@code at}: the largest {@code hoursBefore} not above the time left. */
    public OptionalInt tierAt(Instant start, Instant at) {
        Duration left = Duration.between(at, start);
        int best = -1;
        for (int i = 0; i < tiers.size(); i++) {
            int hours = tiers.get(i).hoursBefore();
            if (Duration.ofHours(hours).compareTo(left) <= 0
                    && (best < 0 || hours > tiers.get(best).hoursBefore())) {
                best = i;
            }
        }
        return best < 0 ? OptionalInt.empty() : OptionalInt.of(best);
    }

    /** What a cancellation at {@code at} keeps and gives back, where no move has set a floor. */
    public Outcome cancel(Money lineTotal, Money deposit, Money paid, Instant start, Instant at, By by) {
        return cancel(lineTotal, deposit, paid, start, at, by, Money.ZERO);
    }

    /**
     * What a cancellation at {@code at} keeps and gives back.
     *
     * @param floor what earlier moves by the guest keep at least, not negative; it counts for guests only
     */
    public Outcome cancel(Money lineTotal, Money deposit, Money paid, Instant start, Instant at, By by, Money floor) {
        OptionalInt tier = by == By.HOST ? OptionalInt.empty() : tierAt(start, at);
        Money keep = by == By.HOST
                ? Money.ZERO
                : kept(lineTotal, deposit, start, at, tier).atLeast(floor);
        Money rest = paid.minus(keep);
        return new Outcome(
                tier, keep, rest.notBelowZero(), Money.ZERO.minus(rest).notBelowZero(), mayMove(start, at));
    }

    /**
     * What a cancellation by the guest keeps from an instant on until the second before the start, step by step; steps that keep
     * the same are one.
     *
     * @param floor what earlier moves by the guest keep at least, not negative
     * @param from (inclusive)
     * @return in the order of time; empty where the start is not after {@code from}
     */
    public List<Step> ladder(Money lineTotal, Money deposit, Money floor, Instant start, Instant from) {
        Instant last = start.minusSeconds(1);
        List<Instant> ends = Stream.concat(
                        tiers.stream().map(t -> start.minus(Duration.ofHours(t.hoursBefore()))), Stream.of(last))
                .filter(end -> !end.isBefore(from) && !end.isAfter(last))
                .sorted()
                .distinct()
                .toList();
        List<Step> steps = new ArrayList<>();
        for (Instant end : ends) {
            Money keep = cancel(lineTotal, deposit, Money.ZERO, start, end, By.GUEST, floor)
                    .keep();
            if (!steps.isEmpty() && steps.get(steps.size() - 1).keep().equals(keep)) {
                steps.remove(steps.size() - 1);
            }
            steps.add(new Step(end, keep));
        }
        return List.copyOf(steps);
    }

    private Money kept(Money lineTotal, Money deposit, Instant start, Instant at, OptionalInt tier) {
        if (tiers.isEmpty() && at.isBefore(start)) {
            return Money.ZERO;
        }
        return tier.isPresent() ? tiers.get(tier.getAsInt()).keep().of(lineTotal, deposit) : lineTotal;
    }

    /** Whether a guest may move a booking at {@code at}. */
    public boolean mayMove(Instant start, Instant at) {
        return moveHoursBefore.isPresent()
                && Duration.ofHours(moveHoursBefore.getAsInt()).compareTo(Duration.between(at, start)) <= 0;
    }

    /** The last instant (inclusive) at which a cancellation by the guest keeps nothing; empty where there is none. */
    public Optional<Instant> freeUntil(Instant start) {
        return tiers.stream()
                .filter(t -> t.keep()
                        .of(Money.ofMinor(Long.MAX_VALUE / 1000), Money.ofMinor(1))
                        .isZero())
                .map(Tier::hoursBefore)
                .min(Integer::compare)
                .map(h -> start.minus(Duration.ofHours(h)))
                .or(() -> tiers.isEmpty() ? Optional.of(start.minusSeconds(1)) : Optional.empty());
    }
}
