package gastfreund.core.offers;

/**
 * The name of one of the people who serve.
 *
 * @param value not blank
 */
public record StaffId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public StaffId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
