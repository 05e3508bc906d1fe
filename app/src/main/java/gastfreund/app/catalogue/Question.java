package gastfreund.app.catalogue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;

/**
 * Something an offer asks the guest at checkout, as a house file keeps it in the offer's {@code extra.questions}.
 *
 * @param options what can be chosen; empty where nothing is
 * @param perPerson whether each person is asked, or the booking once
 */
public record Question(
        String id, String label, String help, Kind kind, List<String> options, boolean required, boolean perPerson) {

    /** How it is answered. */
    public enum Kind {
        TEXT,
        LONG,
        CHOICE,
        CHOICES,
        TICK
    }

    static List<Question> of(JsonNode extra) {
        List<Question> questions = new ArrayList<>();
        for (JsonNode node : extra.path("questions")) {
            List<String> options = new ArrayList<>();
            node.path("options").forEach(o -> options.add(o.asString("")));
            questions.add(new Question(
                    node.path("id").asString(""),
                    node.path("label").asString(""),
                    node.path("help").asString(""),
                    Kind.valueOf(node.path("kind").asString("text").toUpperCase(Locale.ROOT)),
                    List.copyOf(options),
                    node.path("required").asBoolean(false),
                    node.path("each").asString("booking").equals("person")));
        }
        return List.copyOf(questions);
    }
}
