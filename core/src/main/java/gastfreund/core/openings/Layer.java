package gastfreund.core.openings;

import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Needs;
import java.util.ArrayList;
import java.util.List;
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

    /**
     * The layers of something of an offer, in the order of the definition; those that never close are left out.
     *
     * @param place null where it has none
     * @param staff who serves, in the order in which they are told
     */
    public static List<Layer> of(
            House house, Offer offer, @Nullable PlaceId place, List<StaffId> staff, List<Needs> needs) {
        List<Layer> layers = new ArrayList<>();
        layers.add(
                offer.hours() != null
                        ? new Layer(Kind.OFFER, null, offer.hours())
                        : new Layer(Kind.HOUSE, null, house.hours()));
        if (place != null) {
            layers.add(new Layer(Kind.PLACE, place.value(), house.place(place).hours()));
        }
        for (StaffId person : staff) {
            layers.add(new Layer(Kind.STAFF, person.value(), house.staff(person).hours()));
        }
        for (Needs need : needs) {
            if (need.resource() != null) {
                Resource resource = house.resource(need.resource());
                layers.add(new Layer(Kind.RESOURCE, resource.id().value(), resource.hours()));
            }
        }
        layers.removeIf(l -> l.hours().isAlways());
        return List.copyOf(layers);
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
