package gastfreund.app.offerdesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sentences;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Makes the fields of an offer's editor, each with what stands in its member. */
final class Asking {

    private final Inputs.Seen seen;
    private final Sentences sentences;
    private final Formats f;

    Asking(Inputs.Seen seen, Sentences sentences, Formats f) {
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
        return OfferInputs.TABLE.on(field, seen, f);
    }

    /** A field in a line of words. */
    Field line(String member) {
        return on(Field.line(member, label(member), OfferInputs.TABLE.most(member))
                .with("autocomplete", "off"));
    }

    /** The same for a number or an amount. */
    Field number(String member) {
        return on(Field.line(member, label(member), OfferInputs.TABLE.most(member))
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
        return on(Field.text(member, label(member), OfferInputs.TABLE.most(member)));
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

    /** Something that is ticked; that it was asked goes along. */
    Field tick(String member, String label) {
        Field tick = on(Field.tick(member, label, false));
        return tick.given(tick.given());
    }

    Clause clause(String id, String key, Field... fields) {
        return Clause.of(id, f.text(key), fields);
    }
}
