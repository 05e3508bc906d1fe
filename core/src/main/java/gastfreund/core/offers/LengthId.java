package gastfreund.core.offers;

/**
 * The name of a length of an offer.
 *
 * @param value not blank
 */
public record LengthId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public LengthId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
