package gastfreund.core.offers;

/**
 * How many persons may come with one booking, both ends inclusive.
 */
public record Party(int min, int max) {

    /** @throws IllegalArgumentException where {@code min} is below 1 or {@code max} below {@code min} */
    public Party {
        if (min < 1 || max < min) {
            throw new IllegalArgumentException("a party has at least one person: " + min + ".." + max);
        }
    }

    public boolean allows(int persons) {
        return persons >= min && persons <= max;
    }
}
