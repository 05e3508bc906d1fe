package gastfreund.housefile;

import gastfreund.core.letters.Due;
import gastfreund.core.letters.QuietHours;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads the cases of {@code due}, and answers them ({@code docs/letters.md}). */
final class DueCases {

    private static final long MOST_MINUTES = 10L * 366 * 24 * 60;

    private record Case(
            HouseZone zone,
            @Nullable QuietHours quiet,
            boolean before,
            long minutes,
            Instant start,
            Instant end,
            Instant made) {}

    private DueCases() {}

    /**
     * The answer to each case of a list, or of the member {@code cases}.
     *
     * @throws BadFileException with every problem of the cases
     */
    static ArrayNode answer(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        Node root = Node.root(json, problems);
        List<Case> cases = (json.isObject() ? root.elements("cases") : root.elements())
                .stream().map(DueCases::read).toList();
        BadFileException.throwIfAny(problems);
        ArrayNode answers = JsonNodeFactory.instance.arrayNode();
        cases.forEach(one -> answers.add(written(one)));
        return answers;
    }

    private static Case read(Node node) {
        node.object("zone", "quiet", "kind", "minutes", "start", "end", "made");
        Node zone = node.required("zone");
        Instant start = node.required("start").instant();
        Instant end = node.required("end").instant();
        if (end.isBefore(start)) {
            node.at("end").problem("must not be before the start");
        }
        return new Case(
                zone.parsed("a zone of the tz database", HouseZone.of("UTC"), HouseZone::of),
                node.has("quiet") && !node.at("quiet").json().isNull()
                        ? quiet(node.at("quiet")).orElse(null)
                        : null,
                node.required("kind").word("before", "after").equals("before"),
                node.required("minutes").number(0, MOST_MINUTES),
                start,
                end,
                node.required("made").instant());
    }

    private static Optional<QuietHours> quiet(Node node) {
        node.object("from", "to");
        int from = node.required("from").timeOfDay(true);
        int to = node.required("to").timeOfDay(true);
        return node.made(() -> QuietHours.of(from, to));
    }

    private static ObjectNode written(Case one) {
        long start = Interval.firstMinuteFrom(one.start());
        OptionalLong due = one.before()
                ? Due.before(one.zone(), one.quiet(), one.minutes(), start, Interval.firstMinuteFrom(one.made()))
                : OptionalLong.of(
                        Due.after(one.zone(), one.quiet(), one.minutes(), Interval.firstMinuteFrom(one.end())));
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        if (due.isPresent()) {
            answer.put("due", one.zone().offsetOf(due.getAsLong()).format(AnswerWriter.INSTANT));
        } else {
            answer.putNull("due");
        }
        return answer;
    }
}
