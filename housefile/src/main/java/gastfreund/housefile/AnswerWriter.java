package gastfreund.housefile;

import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.openings.Series;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.format.DateTimeFormatter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes the answers of {@code openings} and {@code explain}. */
public final class AnswerWriter {

    /** A minute with the offset of its zone in numbers. */
    static final DateTimeFormatter INSTANT = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mmxxx");

    private final HouseZone zone;
    private final boolean withPlaces;

    /** @param withPlaces whether options tell their place, as those of a timetable do */
    public AnswerWriter(HouseZone zone, boolean withPlaces) {
        this.zone = zone;
        this.withPlaces = withPlaces;
    }

    /** What is open, as {@code docs/house-format.md} says it. */
    public JsonNode openings(Answer answer) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        ArrayNode entries = written.putArray("openings");
        for (Answer.Entry entry : answer.entries()) {
            ArrayNode options = entry(entries, entry);
            for (Answer.Judged option : entry.options()) {
                ObjectNode o = option(options, option);
                o.put("left", option.opening().left());
                o.put("price", option.opening().price().minor());
                if (option.opening().contested()) {
                    o.put("contested", true);
                }
            }
        }
        return refused(answer, written);
    }

    /** Each date of a series with what was found there. */
    public JsonNode series(Series.Found found) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        if (found.refusal() != null) {
            return written.put("refused", found.refusal().code());
        }
        ArrayNode dates = written.putArray("dates");
        for (Series.Date date : found.dates()) {
            ObjectNode d = dates.addObject().put("date", date.date().toString());
            if (date.time() == null || date.option() == null) {
                d.putNull("option");
            } else {
                option(d.putObject("option"), date.time(), date.option());
            }
            ArrayNode nearest = d.putArray("nearest");
            date.nearest().forEach(start -> nearest.add(instant(zone, start)));
        }
        return written.put("free", found.free()).put("price", found.price().minor());
    }

    private void option(ObjectNode o, Interval time, Answer.Judged option) {
        o.put("start", instant(zone, time.start())).put("end", instant(zone, time.end()));
        ArrayNode staff = o.putArray("staff");
        option.staff().stream().map(StaffId::value).forEach(staff::add);
        o.put("left", option.opening().left());
        o.put("price", option.opening().price().minor());
        if (option.opening().contested()) {
            o.put("contested", true);
        }
    }

    JsonNode explanation(Answer answer) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        ArrayNode entries = written.putArray("candidates");
        for (Answer.Entry entry : answer.entries()) {
            ArrayNode options = entry(entries, entry);
            for (Answer.Judged option : entry.options()) {
                ArrayNode reasons = option(options, option).putArray("reasons");
                option.reasons().stream().map(Reason::code).forEach(reasons::add);
            }
        }
        return refused(answer, written);
    }

    /** An instant with the zone's offset. */
    public static String instant(HouseZone zone, long minute) {
        return INSTANT.format(zone.offsetOf(minute));
    }

    private ArrayNode entry(ArrayNode entries, Answer.Entry entry) {
        ObjectNode e = entries.addObject();
        e.put("start", instant(zone, entry.time().start()));
        e.put("end", instant(zone, entry.time().end()));
        return e.putArray("options");
    }

    private ObjectNode option(ArrayNode options, Answer.Judged option) {
        ObjectNode o = options.addObject();
        ArrayNode staff = o.putArray("staff");
        option.staff().stream().map(StaffId::value).forEach(staff::add);
        if (withPlaces && option.place() != null) {
            o.put("place", option.place().value());
        }
        return o;
    }

    private static JsonNode refused(Answer answer, ObjectNode written) {
        if (answer.refusal() != null) {
            written.put("refused", answer.refusal().code());
        }
        return written;
    }
}
