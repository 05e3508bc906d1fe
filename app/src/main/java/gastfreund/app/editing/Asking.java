package gastfreund.app.editing;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Makes the fields of an editor, each with what stands in its member. */
public final class Asking {

    private final Inputs table;
    private final Inputs.Seen seen;
    private final Sentences sentences;
    private final Formats f;

    public Asking(Inputs table, Inputs.Seen seen, Sentences sentences, Formats f) {
        this.table = table;
        this.seen = seen;
        this.sentences = sentences;
        this.f = f;
    }

    public Formats f() {
        return f;
    }

    public JsonNode json() {
        return seen.json();
    }

    private String label(String member) {
        return sentences.label(member);
    }

    private Field on(Field field) {
        return table.on(field, seen, f);
    }

    /** A field in a line of words. */
    public Field line(String member) {
        return on(Field.line(member, label(member), table.most(member)).with("autocomplete", "off"));
    }

    /** The same for a number or an amount. */
    public Field number(String member) {
        return on(Field.line(member, label(member), table.most(member))
                .with("autocomplete", "off")
                .with("inputmode", "decimal"));
    }

    public Field number(String member, String placeholder) {
        return number(member).with("placeholder", placeholder);
    }

    public Field date(String member) {
        return on(Field.date(member, label(member)));
    }

    /** Several lines, on their own. */
    public Field text(String member) {
        return on(Field.text(member, label(member), table.most(member)));
    }

    /** One of some words of the house file. */
    public Field word(String member, String... words) {
        String last = member.substring(member.lastIndexOf('/') + 1);
        return on(Field.select(member, label(member), options(last, words)));
    }

    /** The same where it is more than one member that is chosen. */
    public Field choice(String name, String last, String now, String... words) {
        return Field.select(name, label(name), options(last, words)).value(now);
    }

    private List<Field.Option> options(String last, String... words) {
        return Arrays.stream(words)
                .map(w -> Field.Option.of(w, f.text("word." + last + "." + w)))
                .toList();
    }

    /** A field that is no member by itself: what stands in it, or what was typed and cannot be read. */
    public Field apart(Field field, String value) {
        String unread = seen.typed().get(field.name());
        return unread == null ? field.value(value) : field.value(unread.strip()).wrong(f.text("input.cannot"));
    }

    /** The same as a line of words. */
    public Field apart(String name, String value) {
        return apart(
                Field.line(name, label(name), Sort.LINE.most())
                        .with("autocomplete", "off")
                        .with("inputmode", "decimal"),
                value);
    }

    /** One of some things of the house, by its id. */
    public Field one(String member, List<Field.Option> options) {
        return on(Field.select(member, label(member), options));
    }

    /** Something that is ticked; that it was asked goes along. */
    public Field tick(String member, String label) {
        Field tick = on(Field.tick(member, label, false));
        return tick.given(tick.given());
    }

    public Clause clause(String id, String key, Field... fields) {
        return Clause.of(id, f.text(key), fields);
    }
}
