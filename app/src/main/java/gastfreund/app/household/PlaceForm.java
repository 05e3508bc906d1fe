package gastfreund.app.household;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is asked of a place, as its kind wants it. */
final class PlaceForm extends Form {

    private static final List<String> KINDS = List.of("onsite", "online", "phone", "guest");

    @Override
    List<Field> fields(JsonNode place, Faults faults, Formats f) {
        List<Field> fields = new ArrayList<>();
        String kind = place.path("kind").stringValue("onsite");
        fields.add(faults.on(
                Field.line("name", f.text("member.name"), MOST_LINE),
                "name",
                place.path("name").stringValue(""),
                ""));
        fields.add(Field.choice(
                        "kind",
                        f.text("household.kind"),
                        KINDS.stream()
                                .map(k -> Field.Option.of(k, f.text("household.kind." + k)))
                                .toList())
                .value(kind));
        if (kind.equals("onsite")) {
            fields.add(text("address", "extra.address", f.text("member.extra.address"), place, faults)
                    .help(f.text("household.addressHelp")));
        }
        if (kind.equals("online")) {
            fields.add(faults.on(
                            Field.line("link", f.text("member.extra.link"), 500).with("inputmode", "url"),
                            "extra.link",
                            extra(place, "link"),
                            "")
                    .help(f.text("household.linkHelp")));
            fields.add(Field.tick(
                            "meeting",
                            f.text("member.extra.meeting"),
                            place.path("extra").path("meeting").booleanValue(false))
                    .help(f.text("household.meetingHelp")));
            fields.add(Field.hidden("asked-meeting", "1"));
        }
        if (kind.equals("phone")) {
            fields.add(Field.choice(
                            "calls",
                            f.text("member.extra.calls"),
                            List.of(
                                    Field.Option.of("us", f.text("household.calls.us")),
                                    Field.Option.of("guest", f.text("household.calls.guest"))))
                    .value(extra(place, "calls").isEmpty() ? "us" : extra(place, "calls")));
        }
        if (!kind.equals("guest")) {
            fields.add(text("directions", "extra.directions", f.text("member.extra.directions"), place, faults)
                    .help(f.text("household.directionsHelp")));
        }
        return fields;
    }

    private static Field text(String member, String path, String label, JsonNode place, Faults faults) {
        return faults.on(Field.text(member, label, MOST_TEXT), path, extra(place, member), "");
    }

    @Override
    void type(ObjectNode place, Typing typing) {
        typing.required(place, "name");
        if (KINDS.contains(typing.line("kind", 10))) {
            place.put("kind", typing.line("kind", 10));
        }
        typing.extra(place, "address", MOST_TEXT);
        typing.extra(place, "directions", MOST_TEXT);
        typing.extra(place, "link", 500);
        if (typing.has("asked-meeting")) {
            if (typing.has("meeting")) {
                extraOf(place).put("meeting", true);
            } else {
                removeExtra(place, "meeting");
            }
        }
        if (List.of("us", "guest").contains(typing.line("calls", 10))) {
            typing.extra(place, "calls", 10);
        }
    }
}
