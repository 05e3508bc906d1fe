package gastfreund.housefile;

import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Hours to and from JSON, as they stand in a house file ({@code SCHEDULE}); whether the offers that they name exist is not asked. */
public final class HoursFile {

    private HoursFile() {}

    /**
     * The hours in the member {@code hours} of a document; always open where there is none.
     *
     * @throws BadFileException with every problem
     */
    public static Schedule hoursOf(JsonNode owner) {
        return read(owner, node -> new ScheduleReader(Node::text).hoursOf(node));
    }

    /**
     * Windows without days.
     *
     * @throws BadFileException with every problem
     */
    public static List<Window> windows(JsonNode list) {
        ScheduleReader reader = new ScheduleReader(Node::text);
        return read(
                list, node -> node.elements().stream().map(reader::ofException).toList());
    }

    private static <T> T read(JsonNode json, Function<Node, T> reader) {
        List<Problem> problems = new ArrayList<>();
        T read = reader.apply(Node.root(json, problems));
        BadFileException.throwIfAny(problems);
        return read;
    }

    public static JsonNode written(Schedule hours) {
        return ScheduleWriter.written(hours);
    }

    public static ArrayNode written(List<Window> windows) {
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        windows.forEach(w -> list.add(ScheduleWriter.window(w)));
        return list;
    }
}
