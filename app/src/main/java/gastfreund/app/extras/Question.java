package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Something an offer asks the guest at checkout, as a house file keeps it in the offer's {@code extra.questions}.
 *
 * @param options what can be chosen; empty where nothing is
 * @param perPerson whether each person is asked, or the booking once
 */
public record Question(
        String id, String label, String help, Kind kind, List<String> options, boolean required, boolean perPerson) {

    private static final String[] KINDS = {"text", "long", "choice", "choices", "tick"};

    /** How it is answered. */
    public enum Kind {
        TEXT,
        LONG,
        CHOICE,
        CHOICES,
        TICK
    }

    static List<Question> of(Node extra) {
        Set<String> ids = new HashSet<>();
        return extra.elements("questions").stream().map(q -> question(q, ids)).toList();
    }

    private static Question question(Node node, Set<String> ids) {
        node.object("id", "label", "help", "kind", "options", "required", "each");
        String id = Extras.id(node, ids, "question");
        Kind kind = Kind.valueOf(node.word("kind", KINDS, "text").toUpperCase(Locale.ROOT));
        List<String> options = node.elements("options").stream().map(Node::text).toList();
        boolean chosen = kind == Kind.CHOICE || kind == Kind.CHOICES;
        if (chosen == options.isEmpty()) {
            node.at("options").problem(chosen ? "must have something to choose" : "goes with choice and choices only");
        }
        return new Question(
                id,
                node.required("label").text(),
                node.textOrBlank("help"),
                kind,
                options,
                node.truth("required"),
                node.word("each", new String[] {"booking", "person"}, "booking").equals("person"));
    }
}
