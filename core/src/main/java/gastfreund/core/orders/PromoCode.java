package gastfreund.core.orders;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.time.Instant;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A code that lowers the price ({@code docs/money.md}, step 7).
 *
 * @param offers the only offers it is for; empty means all
 * @param from the first instant (inclusive); null: none
 * @param to the last instant (inclusive); null: none
 * @param minSubtotal the least sum of the eligible lines
 * @param maxUses empty: any number
 * @param used how often it was used
 */
public record PromoCode(
        String code,
        Worth worth,
        Set<OfferId> offers,
        @Nullable Instant from,
        @Nullable Instant to,
        Money minSubtotal,
        OptionalInt maxUses,
        int used) {

    /** What a code takes off. */
    public sealed interface Worth {

        /** A percentage of each eligible line. */
        record Share(Percent percent) implements Worth {}

        /** An amount, at most the eligible lines' sum. */
        record Amount(Money amount) implements Worth {}
    }

    /** What became of a code that was entered, in the order in which it is checked. */
    public enum Outcome {
        NONE("none"),
        APPLIED("applied"),
        UNKNOWN("unknown"),
        EARLY("early"),
        EXPIRED("expired"),
        USED_UP("used-up"),
        NOT_FOR_THESE_OFFERS("not-for-these-offers"),
        BELOW_MINIMUM("below-minimum");

        private final String code;

        Outcome(String code) {
            this.code = code;
        }

        /** The name in answers. */
        public String code() {
            return code;
        }
    }

    public PromoCode {
        offers = Set.copyOf(offers);
    }

    /** How codes are compared: trimmed and without case. */
    public static String normal(String code) {
        return code.trim().toLowerCase(Locale.ROOT);
    }

    boolean isFor(OfferId offer) {
        return offers.isEmpty() || offers.contains(offer);
    }

    /** What stands against the code at the instant of placing the order; {@code APPLIED} where nothing does. */
    Outcome judge(Instant now, boolean anyEligible, Money eligibleSum) {
        if (from != null && now.isBefore(from)) {
            return Outcome.EARLY;
        }
        if (to != null && now.isAfter(to)) {
            return Outcome.EXPIRED;
        }
        if (maxUses.isPresent() && used >= maxUses.getAsInt()) {
            return Outcome.USED_UP;
        }
        if (!anyEligible) {
            return Outcome.NOT_FOR_THESE_OFFERS;
        }
        return eligibleSum.compareTo(minSubtotal) < 0 ? Outcome.BELOW_MINIMUM : Outcome.APPLIED;
    }

    /** The same code, used so many times more. */
    public PromoCode usedAlso(int times) {
        return new PromoCode(code, worth, offers, from, to, minSubtotal, maxUses, used + times);
    }
}
