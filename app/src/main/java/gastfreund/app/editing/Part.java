package gastfreund.app.editing;

import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Some sentences of an editor that belong together.
 *
 * @param id unique on its page
 * @param title empty: the sentences speak for themselves
 * @param clauses sentences with their fields
 * @param ticks what can be ticked, line by line under the sentences
 * @param fields on their own, under the sentences
 * @param add the list to which another can be added; empty: none
 * @param addWords what that button says
 * @param picture the file name of what is shown above the sentences; empty: nothing
 */
public record Part(
        String id,
        String title,
        List<Clause> clauses,
        List<Ticks> ticks,
        List<Field> fields,
        String add,
        String addWords,
        String picture) {

    /**
     * What can be ticked in one line.
     *
     * @param words before it; empty: it speaks for itself
     */
    public record Ticks(String words, List<Field> all) {}

    /** How many names of ticks go in one field. */
    private static final int TOGETHER = 80;

    public static Part of(String id, Clause... clauses) {
        return new Part(id, "", List.of(clauses), List.of(), List.of(), "", "", "");
    }

    public Part titled(String words) {
        return new Part(id, words, clauses, ticks, fields, add, addWords, picture);
    }

    public Part withTicks(List<Field> all) {
        return all.isEmpty() ? this : withTicks(new Ticks("", List.copyOf(all)));
    }

    public Part withTicks(Ticks... lines) {
        List<Ticks> filled =
                Stream.of(lines).filter(line -> !line.all().isEmpty()).toList();
        return new Part(id, title, clauses, filled, fields, add, addWords, picture);
    }

    public Part withFields(List<Field> all) {
        return new Part(id, title, clauses, ticks, List.copyOf(all), add, addWords, picture);
    }

    public Part withPicture(String name) {
        return new Part(id, title, clauses, ticks, fields, add, addWords, name);
    }

    public static Part list(String id, List<Clause> clauses, String add, String addWords) {
        return new Part(id, "", List.copyOf(clauses), List.of(), List.of(), add, addWords, "");
    }

    /** The names of what can be ticked, some of them together, so that a form has no more fields than it needs. */
    public static List<String> asked(List<Part> parts) {
        List<String> names = parts.stream()
                .flatMap(p -> p.ticks().stream())
                .flatMap(line -> line.all().stream())
                .map(Field::name)
                .distinct()
                .toList();
        List<String> asked = new ArrayList<>();
        for (int i = 0; i < names.size(); i += TOGETHER) {
            asked.add(String.join("\n", names.subList(i, Math.min(names.size(), i + TOGETHER))));
        }
        return asked;
    }
}
