package gastfreund.core.offers;

/**
 * The name of a resource.
 *
 * @param value not blank
 */
public record ResourceId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public ResourceId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
