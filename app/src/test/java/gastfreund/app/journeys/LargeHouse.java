package gastfreund.app.journeys;

import gastfreund.housefile.HouseFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A made-up house with many offers, people and bookings, as a folder that the demo can be started from. */
final class LargeHouse {

    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 11);
    private static final List<String> WORKDAYS = List.of("mon", "tue", "wed", "thu", "fri", "sat");

    private final int offers;
    private final int people;
    private final int bookings;
    private final int each;

    LargeHouse(int offers, int people, int bookings) {
        this(offers, people, bookings, 4);
    }

    /** @param each how many bookings somebody has on a day, from 1 to 14 */
    LargeHouse(int offers, int people, int bookings, int each) {
        this.offers = offers;
        this.people = people;
        this.bookings = bookings;
        this.each = each;
    }

    Path folder() throws IOException {
        Path folder = Files.createTempDirectory("gastfreund-large");
        Files.createDirectories(folder.resolve("pictures"));
        Files.writeString(folder.resolve("quillmere.house.json"), HouseFile.printed(json()));
        return folder;
    }

    private ObjectNode json() {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", "gastfreund-house/1");
        ObjectNode house = file.putObject("house");
        house.put("name", "Large House").put("zone", ZONE.getId()).put("currency", "EUR");
        hours(house, "08:00", closes());
        ObjectNode extra = house.putObject("extra").put("monday", MONDAY.toString());
        ObjectNode guests = extra.putObject("guests");
        ArrayNode staff = file.putArray("staff");
        for (int p = 0; p < people; p++) {
            ObjectNode person = staff.addObject().put("id", "p" + p).put("name", "Person " + p);
            hours(person, each > 4 ? "08:00" : "09:00", each > 4 ? closes() : "17:00");
        }
        ArrayNode sold = file.putArray("offers");
        for (int o = 0; o < offers; o++) {
            ObjectNode offer = sold.addObject().put("id", "o" + o).put("title", "Offer " + o);
            ArrayNode lengths = offer.putArray("lengths");
            lengths.addObject().put("id", "60").put("minutes", 60).put("price", 6000);
            lengths.addObject().put("id", "90").put("minutes", 90).put("price", 8000);
            offer.put("reset", 10).put("notice", 120);
            ObjectNode serving = offer.putObject("staff").put("pick", "any");
            ArrayNode of = serving.putArray("of");
            for (int k = 0; k < 3; k++) {
                of.add("p" + (o + k * 7) % people);
            }
        }
        ArrayNode taken = file.putArray("bookings");
        for (int b = 0; b < bookings; b++) {
            // Day by day around the Monday, person by person, hour by hour: none meets another.
            int slot = b / people;
            LocalDate day = MONDAY.plusDays(slot / each - bookings / people / (2L * each));
            LocalTime time = each > 4
                    ? LocalTime.of(8, 0).plusMinutes((each > 10 ? 50L : 70L) * (slot % each))
                    : LocalTime.of(9, 0).plusHours(2L * (slot % each));
            int person = b % people;
            int offer = offerOf(person, b);
            taken.addObject()
                    .put("id", "b" + b)
                    .put("offer", "o" + offer)
                    .put(
                            "start",
                            day.atTime(time).atZone(ZONE).toOffsetDateTime().toString())
                    .put("minutes", each > 10 ? 40 : 60)
                    .put("status", day.isBefore(MONDAY) ? "completed" : "confirmed")
                    .putArray("staff")
                    .add("p" + person);
            guests.putObject("b" + b)
                    .put("name", "Guest " + b)
                    .put("email", "guest" + b + "@post.example")
                    .put("phone", "+49 30 5550 100");
        }
        return file;
    }

    /** Where the day is full by eight, evenings are what guests still find. */
    private String closes() {
        return each > 10 ? "22:00" : "20:00";
    }

    /** An offer that a person serves. */
    private int offerOf(int person, int number) {
        int offer = person + people * (number / people % Math.max(1, offers / people));
        return offer % offers;
    }

    private static void hours(ObjectNode owner, String from, String to) {
        ObjectNode window = owner.putObject("hours").putArray("weekly").addObject();
        WORKDAYS.forEach(window.putArray("days")::add);
        window.put("from", from).put("to", to);
    }
}
