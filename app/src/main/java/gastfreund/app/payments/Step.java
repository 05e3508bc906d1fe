package gastfreund.app.payments;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Something to be done with a payment at its gateway. Its id is the key of the call, so that doing it twice does it once.
 *
 * @param booking the booking for whose sake; null where it is for none alone
 */
record Step(String id, String payment, Kind kind, @Nullable BookingId booking, Money amount) {

    enum Kind {
        CAPTURE,
        RELEASE,
        REFUND;

        String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
