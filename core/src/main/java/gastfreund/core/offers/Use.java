package gastfreund.core.offers;

/**
 * Units of a resource that an offer takes.
 *
 * @param units 1 or more
 */
public record Use(ResourceId resource, int units, Per per) {

    /** How the units count. */
    public enum Per {
        SESSION,
        BOOKING,
        PERSON
    }

    /** @throws IllegalArgumentException where {@code units} is below 1 */
    public Use {
        if (units < 1) {
            throw new IllegalArgumentException("a use takes at least one unit");
        }
    }
}
