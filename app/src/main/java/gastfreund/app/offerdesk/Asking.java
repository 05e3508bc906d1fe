package gastfreund.app.offerdesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sentences;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Makes the fields of an offer's editors, each with what stands in its member. */
final class Asking {

    private final Inputs table;
    private final Inputs.Seen seen;
    private final Sentences sentences;
    private final Formats f;

    Asking(Inputs table, Inputs.Seen seen, Sentences sentences, Formats f) {
        this.table = table;
        this.seen = seen;
        this.sentences = sentences;
        this.f = f;
    }

    Formats f() {
        return f;
    }

    JsonNode offer() {
        return seen.json();
    }

    private String label(String member) {
        return sentences.label(member);
    }

    private Field on(Field field) {
        return table.on(field, seen, f);
    }

    /** A field in a line of words. */
    Field line(String member) {
        return on(Field.line(member, label(member), table.most(member)).with("autocomplete", "off"));
    }

    /** The same for a number or an amount. */
    Field number(String member) {
        return on(Field.line(member, label(member), table.most(member))
                .with("autocomplete", "off")
                .with("inputmode", "decimal"));
    }

    Field number(String member, String placeholder) {
        return number(member).with("placeholder", placeholder);
    }

    Field date(String member) {
        return on(Field.date(member, label(member)));
    }

    /** Several lines, on their own. */
    Field text(String member) {
        return on(Field.text(member, label(member), table.most(member)));
    }

    /** One of some words of the house file. */
    Field word(String member, String... words) {
        String last = member.substring(member.lastIndexOf('/') + 1);
        return on(Field.select(member, label(member), options(last, words)));
    }

    /** The same where it is more than one member that is chosen. */
    Field choice(String name, String last, String now, String... words) {
        return Field.select(name, label(name), options(last, words)).value(now);
    }

    private List<Field.Option> options(String last, String... words) {
        return Arrays.stream(words)
                .map(w -> Field.Option.of(w, f.text("word." + last + "." + w)))
                .toList();
    }

    /** A field that is no member by itself: what stands in it, or what was typed and cannot be read. */
    Field apart(Field field, String value) {
        String unread = seen.typed().get(field.name());
        return unread == null ? field.value(value) : field.value(unread.strip()).wrong(f.text("offers.unread"));
    }

    /** The same as a line of words. */
    Field apart(String name, String value) {
        return apart(
                Field.line(name, label(name), Sort.LINE.most())
                        .with("autocomplete", "off")
                        .with("inputmode", "decimal"),
                value);
    }

    /** One of some things of the house, by its id. */
    Field one(String member, List<Field.Option> options) {
        return on(Field.select(member, label(member), options));
    }

    /** Something that is ticked; that it was asked goes along. */
    Field tick(String member, String label) {
        Field tick = on(Field.tick(member, label, false));
        return tick.given(tick.given());
    }

    Clause clause(String id, String key, Field... fields) {
        return Clause.of(id, f.text(key), fields);
    }
}
