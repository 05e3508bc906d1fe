package gastfreund.app.orderdesk;

import gastfreund.core.bookings.BookingId;

/**
 * What a host wrote into a form of an order's page that could not be done, so that it stands there again.
 *
 * @param form the form's name
 * @param tell whether the guest was to get a mail
 * @param problem the key of what is wrong with the amount; empty until that is known
 */
public record Typed(String form, String booking, String amount, String why, boolean tell, String problem) {

    public static Typed nothing() {
        return new Typed("", "", "", "", true, "");
    }

    Typed because(String wrong) {
        return new Typed(form, booking, amount, why, tell, wrong);
    }

    /** Whether it was written into that form of a booking. */
    public boolean into(String name, BookingId of) {
        return form.equals(name) && booking.equals(of.value());
    }
}
