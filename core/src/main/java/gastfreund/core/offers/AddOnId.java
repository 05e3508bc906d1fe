package gastfreund.core.offers;

/**
 * The name of an add-on of an offer.
 *
 * @param value not blank
 */
public record AddOnId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public AddOnId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
