package gastfreund.app.offerdesk;

import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import java.util.List;

/**
 * Some sentences of an editor that belong together.
 *
 * @param id unique on its page
 * @param title empty: the sentences speak for themselves
 * @param clauses sentences with their fields
 * @param ticks what can be ticked, under the sentences
 * @param fields on their own, under the sentences
 * @param add the list to which another can be added; empty: none
 * @param addWords what that button says
 */
public record Part(
        String id,
        String title,
        List<Clause> clauses,
        List<Field> ticks,
        List<Field> fields,
        String add,
        String addWords) {

    static Part of(String id, Clause... clauses) {
        return new Part(id, "", List.of(clauses), List.of(), List.of(), "", "");
    }

    Part titled(String words) {
        return new Part(id, words, clauses, ticks, fields, add, addWords);
    }

    Part withTicks(List<Field> all) {
        return new Part(id, title, clauses, List.copyOf(all), fields, add, addWords);
    }

    Part withFields(List<Field> all) {
        return new Part(id, title, clauses, ticks, List.copyOf(all), add, addWords);
    }

    static Part list(String id, List<Clause> clauses, String add, String addWords) {
        return new Part(id, "", List.copyOf(clauses), List.of(), List.of(), add, addWords);
    }
}
