package gastfreund.core.offers;

import gastfreund.core.hours.Schedule;

/**
 * A room or a piece of equipment.
 *
 * @param units how many there are, 1 or more
 */
public record Resource(ResourceId id, String name, int units, Schedule hours) {

    /** @throws IllegalArgumentException where {@code units} is below 1 */
    public Resource {
        if (units < 1) {
            throw new IllegalArgumentException("a resource has at least one unit");
        }
    }
}
