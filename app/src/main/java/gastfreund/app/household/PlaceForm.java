package gastfreund.app.household;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.core.money.Money;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What is asked of a place, as its kind wants it. */
final class PlaceForm extends Form {

    private static final List<String> KINDS = List.of("onsite", "online", "phone", "guest");

    /** The names of the places from which ways are measured, by id. */
    private final Map<String, String> from;

    PlaceForm(Map<String, String> from) {
        this.from = Collections.unmodifiableMap(new LinkedHashMap<>(from));
    }

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
        if (kind.equals("guest")) {
            fields.addAll(reach(place, faults, f));
        } else {
            fields.add(text("directions", "extra.directions", f.text("member.extra.directions"), place, faults)
                    .help(f.text("household.directionsHelp")));
        }
        return fields;
    }

    private List<Field> reach(JsonNode place, Faults faults, Formats f) {
        List<Field.Option> options = new ArrayList<>();
        options.add(Field.Option.of("", f.text("household.from.nothing")));
        from.forEach((id, name) -> options.add(Field.Option.of(id, name)));
        JsonNode extra = place.path("extra");
        String noNumber = f.text("household.noNumber");
        return List.of(
                faults.on(
                                Field.select("from", f.text("member.extra.from"), options),
                                "extra.from",
                                extra(place, "from"),
                                "")
                        .help(f.text("household.fromHelp")),
                faults.on(
                                Field.line("km", f.text("member.extra.km"), 6).with("inputmode", "numeric"),
                                "extra.km",
                                number(extra.path("km")),
                                noNumber)
                        .help(f.text("household.kmHelp")),
                faults.on(
                        Field.line("freeKm", f.text("member.extra.freeKm"), 6).with("inputmode", "numeric"),
                        "extra.freeKm",
                        number(extra.path("freeKm")),
                        noNumber),
                faults.on(
                                Field.amount("perKm", f.text("member.extra.perKm")),
                                "extra.perKm",
                                extra.path("perKm").isIntegralNumber()
                                        ? f.field(Money.ofMinor(
                                                extra.path("perKm").longValue()))
                                        : "",
                                f.text("household.noAmount"))
                        .help(f.text("household.perKmHelp")));
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
        typing.extra(place, "from", MOST_LINE);
        typing.extraWhole(place, "km");
        typing.extraWhole(place, "freeKm");
        typing.extraAmount(place, "perKm");
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
