package gastfreund.app.household;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is asked of a thing: a room, or equipment of which there are several. */
final class ThingForm extends Form {

    @Override
    List<Field> fields(JsonNode thing, Faults faults, Formats f) {
        return List.of(
                faults.on(
                        Field.line("name", f.text("member.name"), MOST_LINE),
                        "name",
                        thing.path("name").stringValue(""),
                        ""),
                faults.on(
                                Field.line("units", f.text("member.units"), 6).with("inputmode", "numeric"),
                                "units",
                                number(thing.path("units")),
                                f.text("household.noNumber"))
                        .help(f.text("household.unitsHelp")));
    }

    @Override
    void type(ObjectNode thing, Typing typing) {
        typing.required(thing, "name");
        typing.whole(thing, "units");
    }
}
