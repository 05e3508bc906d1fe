package gastfreund.core.hours;

/**
 * The name of an offer. It stands here because hours are the first to speak of offers: a window may be for some only.
 *
 * @param value not blank
 */
public record OfferId(String value) {

    /** @throws IllegalArgumentException where the value is blank */
    public OfferId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("an id must not be blank");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
