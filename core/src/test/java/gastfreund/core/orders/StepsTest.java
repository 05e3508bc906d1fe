package gastfreund.core.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.bookings.BookingStatus;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class StepsTest {

    @ParameterizedTest
    @EnumSource(
            value = BookingStatus.class,
            names = {"CANCELLED", "DECLINED", "COMPLETED", "NO_SHOW"})
    void whatEndedStaysEnded(BookingStatus ended) {
        for (BookingStatus to : BookingStatus.values()) {
            assertThat(BookingSteps.allows(ended, to)).as("%s to %s", ended, to).isFalse();
        }
    }

    @Test
    void onlyMoneyBringsALapsedHoldBack() {
        assertThat(BookingSteps.allows(BookingStatus.LAPSED, BookingStatus.CONFIRMED))
                .isTrue();
        assertThat(BookingSteps.allows(BookingStatus.LAPSED, BookingStatus.HELD))
                .isFalse();
        assertThat(BookingSteps.allows(BookingStatus.CONFIRMED, BookingStatus.HELD))
                .isFalse();
    }

    @Test
    void refundedMoneyStaysRefunded() {
        for (PaymentState ended : Set.of(PaymentState.REFUNDED, PaymentState.FAILED, PaymentState.VOIDED)) {
            for (PaymentState to : PaymentState.values()) {
                assertThat(ended.allows(to)).as("%s to %s", ended, to).isFalse();
            }
        }
    }

    @Test
    void moneyForAPaymentThatWasGivenUpIsNotLostFromSight() {
        assertThat(PaymentState.EXPIRED.allows(PaymentState.CAPTURED)).isTrue();
        assertThat(PaymentState.CAPTURED.allows(PaymentState.CREATED)).isFalse();
        assertThat(PaymentState.CAPTURED.allows(PaymentState.FAILED)).isFalse();
    }

    @ParameterizedTest
    @EnumSource(PaymentState.class)
    void codesAreReadBack(PaymentState state) {
        assertThat(PaymentState.ofCode(state.code())).isEqualTo(state);
    }
}
