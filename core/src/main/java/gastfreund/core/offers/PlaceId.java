package gastfreund.core.offers;

/**
 * The name of a place.
 *
 * @param value not blank
 */
public record PlaceId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public PlaceId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
