package gastfreund.app.orders;

import gastfreund.core.bookings.BookingId;

/**
 * What a guest answered.
 *
 * @param person 0 for the booking as a whole, else which of its persons, from 1
 * @param question the question's id
 * @param label the question as it was asked
 * @param value several choices in lines of their own; empty: it was not answered
 */
public record GivenAnswer(BookingId booking, int person, String question, String label, String value) {

    boolean isGiven() {
        return !value.isEmpty();
    }
}
