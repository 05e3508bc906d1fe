package gastfreund.core.terms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class TermsTest {

    private static final Instant START = Instant.parse("2027-01-14T09:00:00Z");
    private static final Terms TERMS = new Terms(
            List.of(
                    new Terms.Tier(48, new Keep.Share(Percent.ZERO)),
                    new Terms.Tier(12, new Keep.Deposit()),
                    new Terms.Tier(0, new Keep.Share(Percent.of(60)))),
            OptionalInt.of(24));

    private static Terms.Outcome guestCancels(Duration before, long paid) {
        return TERMS.cancel(
                Money.ofMinor(7400),
                Money.ofMinor(2220),
                Money.ofMinor(paid),
                START,
                START.minus(before),
                Terms.By.GUEST);
    }

    @Test
    void aTierBeginsExactlyAtItsHours() {
        assertThat(guestCancels(Duration.ofHours(48), 2220).refund()).isEqualTo(Money.ofMinor(2220));
        Terms.Outcome second = guestCancels(Duration.ofHours(48).minusSeconds(1), 2220);
        assertThat(second.tier()).hasValue(1);
        assertThat(second.refund()).isEqualTo(Money.ZERO);
    }

    @Test
    void whatIsKeptBeyondWhatWasPaidIsNotCollected() {
        Terms.Outcome outcome = guestCancels(Duration.ofHours(1), 2220);
        assertThat(outcome.keep()).isEqualTo(Money.ofMinor(4440));
        assertThat(outcome.refund()).isEqualTo(Money.ZERO);
        assertThat(outcome.uncollected()).isEqualTo(Money.ofMinor(2220));
        assertThat(outcome.mayMove()).isFalse();
    }

    @Test
    void afterTheStartNoTierAppliesAndEverythingIsKept() {
        Terms.Outcome outcome = guestCancels(Duration.ofHours(-1), 7400);
        assertThat(outcome.tier()).isEmpty();
        assertThat(outcome.keep()).isEqualTo(Money.ofMinor(7400));
    }

    @Test
    void theHostKeepsNothing() {
        Terms.Outcome outcome = TERMS.cancel(
                Money.ofMinor(7400), Money.ofMinor(2220), Money.ofMinor(7400), START, START, Terms.By.HOST);
        assertThat(outcome.refund()).isEqualTo(Money.ofMinor(7400));
    }

    /** Who moves a booking while something is kept takes that along; the house's own cancellation keeps nothing. */
    @Test
    void whatAMoveHasKeptIsTheLeastThatALaterCancellationKeeps() {
        Money floor = Money.ofMinor(3000);
        Instant early = START.minus(Duration.ofDays(9));
        assertThat(cancelled(early, Terms.By.GUEST, floor).keep()).isEqualTo(floor);
        assertThat(cancelled(early, Terms.By.GUEST, floor).refund()).isEqualTo(Money.ofMinor(4400));
        assertThat(cancelled(START.minusSeconds(1), Terms.By.GUEST, floor).keep())
                .isEqualTo(Money.ofMinor(4440));
        assertThat(cancelled(early, Terms.By.HOST, floor).refund()).isEqualTo(Money.ofMinor(7400));
    }

    private static Terms.Outcome cancelled(Instant at, Terms.By by, Money floor) {
        return TERMS.cancel(Money.ofMinor(7400), Money.ofMinor(2220), Money.ofMinor(7400), START, at, by, floor);
    }

    @Test
    void withoutTiersItIsFreeUntilTheStart() {
        assertThat(Terms.none()
                        .cancel(
                                Money.ofMinor(10),
                                Money.ZERO,
                                Money.ofMinor(10),
                                START,
                                START.minusSeconds(1),
                                Terms.By.GUEST)
                        .refund())
                .isEqualTo(Money.ofMinor(10));
        assertThat(Terms.none()
                        .cancel(Money.ofMinor(10), Money.ZERO, Money.ofMinor(10), START, START, Terms.By.GUEST)
                        .keep())
                .isEqualTo(Money.ofMinor(10));
    }

    @Test
    void freeUntilIsTheLastInstantOfTheFreeTier() {
        assertThat(TERMS.freeUntil(START)).contains(START.minus(Duration.ofHours(48)));
        Terms never = new Terms(List.of(new Terms.Tier(0, new Keep.All())), OptionalInt.empty());
        assertThat(never.freeUntil(START)).isEmpty();
    }

    @Test
    void twoTiersForTheSameHoursAreRefused() {
        assertThatThrownBy(() -> new Terms(
                        List.of(new Terms.Tier(1, new Keep.All()), new Terms.Tier(1, new Keep.Deposit())),
                        OptionalInt.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
