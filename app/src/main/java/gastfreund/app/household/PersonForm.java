package gastfreund.app.household;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is asked of a person. */
final class PersonForm extends Form {

    @Override
    List<Field> fields(JsonNode person, Faults faults, Formats f) {
        return List.of(
                faults.on(
                                Field.line("name", f.text("member.name"), MOST_LINE),
                                "name",
                                person.path("name").stringValue(""),
                                "")
                        .with("autocomplete", "off"),
                faults.on(
                                Field.text("words", f.text("member.extra.words"), MOST_TEXT),
                                "extra.words",
                                extra(person, "words"),
                                "")
                        .help(f.text("household.wordsHelp")),
                faults.on(
                                Field.line("maxPerDay", f.text("household.maxPerDay"), 6)
                                        .with("inputmode", "numeric"),
                                "maxPerDay",
                                number(person.path("maxPerDay")),
                                f.text("household.noNumber"))
                        .help(f.text("household.maxPerDayHelp")),
                faults.on(Field.email("email", f.text("member.extra.email")), "extra.email", extra(person, "email"), "")
                        .help(f.text("household.emailHelp")));
    }

    @Override
    void type(ObjectNode person, Typing typing) {
        typing.required(person, "name");
        typing.extra(person, "words", MOST_TEXT);
        typing.whole(person, "maxPerDay");
        typing.extra(person, "email", 254);
    }
}
