package gastfreund.housefile;

import gastfreund.core.openings.Clashes;
import gastfreund.core.openings.Comparison;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Reads the cases of {@code clashes} and {@code compare}. */
final class ChangeReader {

    private static final int USUAL_DAYS = 28;

    /** @param to inclusive */
    record ClashCase(Instant now, LocalDate from, LocalDate to) {}

    record CompareCase(Instant now, int days) {}

    private ChangeReader() {}

    /** @throws BadFileException with every problem of the cases */
    static List<ClashCase> clashCases(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        List<ClashCase> cases = new ArrayList<>();
        for (Node node : Node.root(json, problems).elements()) {
            node.object("now", "from", "to");
            LocalDate from = node.required("from").date();
            LocalDate to = node.required("to").date();
            if (to.isBefore(from) || to.isAfter(from.plusDays(Clashes.MOST_DAYS - 1L))) {
                node.at("to").problem("must be 0 to 399 days after from");
            }
            cases.add(new ClashCase(node.required("now").instant(), from, to));
        }
        BadFileException.throwIfAny(problems);
        return cases;
    }

    /** @throws BadFileException with every problem of the cases */
    static List<CompareCase> compareCases(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        List<CompareCase> cases = new ArrayList<>();
        for (Node node : Node.root(json, problems).elements()) {
            node.object("now", "days");
            int days = node.integer("days", 1, Comparison.MOST_DAYS, USUAL_DAYS);
            cases.add(new CompareCase(node.required("now").instant(), days));
        }
        BadFileException.throwIfAny(problems);
        return cases;
    }
}
