package gastfreund.app;

import gastfreund.core.time.HouseZone;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A house file with every date in it moved by some weeks; times of day stay what they are on the house's clock. */
final class MovedDates {

    private static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern LOCAL = Pattern.compile(DATE + "T\\d{2}:\\d{2}");
    private static final Pattern INSTANT = Pattern.compile(LOCAL + "(?::\\d{2})?+(?:Z|[+-]\\d{2}:\\d{2})");

    private final HouseZone zone;
    private final long weeks;

    MovedDates(HouseZone zone, long weeks) {
        this.zone = zone;
        this.weeks = weeks;
    }

    JsonNode of(JsonNode node) {
        if (node.isObject()) {
            ObjectNode moved = JsonNodeFactory.instance.objectNode();
            for (Map.Entry<String, JsonNode> member : node.properties()) {
                moved.set(member.getKey(), of(member.getValue()));
            }
            return moved;
        }
        if (node.isArray()) {
            ArrayNode moved = JsonNodeFactory.instance.arrayNode();
            node.forEach(element -> moved.add(of(element)));
            return moved;
        }
        return node.isString() ? JsonNodeFactory.instance.stringNode(moved(node.stringValue())) : node;
    }

    private String moved(String text) {
        if (DATE.matcher(text).matches()) {
            return LocalDate.parse(text).plusWeeks(weeks).toString();
        }
        if (LOCAL.matcher(text).matches()) {
            return LocalDateTime.parse(text).plusWeeks(weeks).toString();
        }
        if (INSTANT.matcher(text).matches()) {
            return OffsetDateTime.parse(text)
                    .atZoneSameInstant(zone.id())
                    .plusWeeks(weeks)
                    .toOffsetDateTime()
                    .toString();
        }
        return text;
    }
}
