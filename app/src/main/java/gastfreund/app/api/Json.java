package gastfreund.app.api;

import gastfreund.core.money.Money;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.housefile.AnswerWriter;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes what all answers share: moments with the house's offset, amounts in minor units, lists of names. */
final class Json {

    private Json() {}

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    /** An object with one member. */
    static ObjectNode with(String name, JsonNode value) {
        ObjectNode node = object();
        node.set(name, value);
        return node;
    }

    static ArrayNode array(Collection<? extends JsonNode> elements) {
        return JsonNodeFactory.instance.arrayNode().addAll(elements);
    }

    static ArrayNode names(Collection<?> names) {
        ArrayNode array = JsonNodeFactory.instance.arrayNode();
        names.forEach(n -> array.add(n.toString()));
        return array;
    }

    static ObjectNode quantities(Map<?, Integer> quantities) {
        ObjectNode node = object();
        quantities.forEach((id, n) -> node.put(id.toString(), n));
        return node;
    }

    static void time(ObjectNode node, Interval time, HouseZone zone) {
        node.put("start", AnswerWriter.instant(zone, time.start())).put("end", AnswerWriter.instant(zone, time.end()));
    }

    static String moment(Instant instant, HouseZone zone) {
        return DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(
                instant.truncatedTo(ChronoUnit.SECONDS).atZone(zone.id()));
    }

    static void money(ObjectNode node, String name, Money amount) {
        node.put(name, amount.minor());
    }

    /** A name, or null where there is none. */
    static void name(ObjectNode node, String name, @Nullable Object value) {
        node.put(name, value == null ? null : value.toString());
    }
}
