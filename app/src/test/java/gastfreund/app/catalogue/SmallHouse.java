package gastfreund.app.catalogue;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A house with as little in it as a test needs: nobody has to know the demo's. It lies in the demo's town, takes euros, and is
 * always open but where hours are said. Nothing has to be paid for in advance.
 */
public final class SmallHouse {

    /** An offer of it; what is not said is as in a house file that does not say it. */
    public static final class OfferIn {

        private final ObjectNode json;

        private OfferIn(ObjectNode json, String id, int minutes, long price) {
            this.json = json;
            json.put("id", id).put("title", capital(id));
            json.putArray("lengths")
                    .addObject()
                    .put("id", "only")
                    .put("minutes", minutes)
                    .put("price", price);
            json.putObject("payment").put("when", "venue");
            json.putObject("starts").put("every", minutes);
        }

        /** One of them serves. */
        public OfferIn servedBy(String... people) {
            ArrayNode of = json.putObject("staff").put("pick", "any").putArray("of");
            List.of(people).forEach(of::add);
            return this;
        }

        public OfferIn uses(String resource, int units) {
            ArrayNode uses = json.has("uses") ? (ArrayNode) json.get("uses") : json.putArray("uses");
            uses.addObject().put("resource", resource).put("units", units);
            return this;
        }

        /** Several share a session. */
        public OfferIn shared(int seats) {
            json.put("sharing", "shared").put("seats", seats);
            return this;
        }

        public OfferIn confirmedByHand() {
            json.put("confirm", "byHand");
            return this;
        }
    }

    private final ObjectNode json = JsonNodeFactory.instance.objectNode();

    private SmallHouse(String name) {
        json.put("format", "gastfreund-house/1");
        json.putObject("house").put("name", name).put("zone", "Europe/Berlin").put("currency", "EUR");
        List.of("places", "staff", "resources", "offers", "promoCodes").forEach(json::putArray);
    }

    public static SmallHouse named(String name) {
        return new SmallHouse(name);
    }

    private ObjectNode add(String kind) {
        return ((ArrayNode) json.get(kind)).addObject();
    }

    /** Somebody who is there on these days between these times; without days, always. */
    public SmallHouse person(String id, LocalTime from, LocalTime to, DayOfWeek... days) {
        ObjectNode person = add("staff").put("id", id).put("name", capital(id));
        if (days.length > 0) {
            ObjectNode window = person.putObject("hours").putArray("weekly").addObject();
            window.put("from", from.toString()).put("to", to.toString());
            ArrayNode named = window.putArray("days");
            for (DayOfWeek day : days) {
                named.add(day.name().substring(0, 3).toLowerCase(Locale.ROOT));
            }
        }
        return this;
    }

    public SmallHouse person(String id) {
        return person(id, LocalTime.MIN, LocalTime.MIN);
    }

    public SmallHouse resource(String id, int units) {
        add("resources").put("id", id).put("name", capital(id)).put("units", units);
        return this;
    }

    /** An offer with one length, called {@code only}; what else there is of it is said by what is given back. */
    public OfferIn offer(String id, int minutes, long price) {
        return new OfferIn(add("offers"), id, minutes, price);
    }

    public ObjectNode json() {
        return json.deepCopy();
    }

    /** The ids of its offers. */
    public List<String> offers() {
        List<String> ids = new ArrayList<>();
        json.get("offers").forEach(o -> ids.add(o.get("id").stringValue()));
        return ids;
    }

    private static String capital(String id) {
        return id.substring(0, 1).toUpperCase(Locale.ROOT) + id.substring(1);
    }
}
