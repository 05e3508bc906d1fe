package gastfreund.core.bookings;

/**
 * The name of a booking.
 *
 * @param value not blank
 */
public record BookingId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public BookingId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
