package gastfreund.core.openings;

import gastfreund.core.hours.Schedule;
import org.jspecify.annotations.Nullable;

/**
 * One set of hours that an opening must pass.
 *
 * @param kind whose hours they are
 * @param id of the place, person or resource; null for the house and the offer
 */
public record Layer(Kind kind, @Nullable String id, Schedule hours) {

    /** Whose hours. */
    public enum Kind {
        HOUSE("house"),
        OFFER("offer"),
        PLACE("place"),
        STAFF("staff"),
        RESOURCE("resource");

        private final String code;

        Kind(String code) {
            this.code = code;
        }
    }

    /** Whether it is of a place, a person or a resource, and not of the house or the offer as a whole. */
    boolean isOfOneThing() {
        return kind != Kind.HOUSE && kind != Kind.OFFER;
    }

    /** The layer's name in reasons, as {@code hours:staff:mira}. */
    public String code() {
        return "hours:" + kind.code + (id == null ? "" : ":" + id);
    }
}
