package gastfreund.core.offers;

import gastfreund.core.hours.Schedule;

/**
 * Where an offer happens. A place has hours and no capacity.
 */
public record Place(PlaceId id, String name, Kind kind, Schedule hours) {

    /** What kind of place it is. */
    public enum Kind {
        ONSITE,
        ONLINE,
        PHONE,
        GUEST_ADDRESS
    }
}
