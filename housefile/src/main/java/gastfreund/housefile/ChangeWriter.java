package gastfreund.housefile;

import gastfreund.core.bookings.Booking;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Staff;
import gastfreund.core.openings.Clash;
import gastfreund.core.openings.Comparison;
import gastfreund.core.openings.Reason;
import gastfreund.core.sessions.Session;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes the answers of {@code clashes} and {@code compare}. */
final class ChangeWriter {

    private final House house;

    /** @param house whose people and zone are written of; of two that are compared, the one after */
    ChangeWriter(House house) {
        this.house = house;
    }

    JsonNode clashes(List<Clash> clashes) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        putClashes(written, clashes);
        return written;
    }

    JsonNode compared(Comparison comparison) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        ArrayNode offers = written.putArray("offers");
        comparison.offers().forEach(change -> offers.add(change(change)));
        putClashes(written, comparison.clashes());
        return written;
    }

    private static ObjectNode change(Comparison.Change change) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("offer", change.offer().value())
                .put("before", change.before())
                .put("after", change.after())
                .put("gained", change.gained())
                .put("lost", change.lost());
        node.putObject("starts").put("gained", change.startsGained()).put("lost", change.startsLost());
        ArrayNode days = node.putArray("days");
        change.days().forEach(day -> days.addObject()
                .put("date", day.date().toString())
                .put("gained", day.gained())
                .put("lost", day.lost()));
        return node;
    }

    private void putClashes(ObjectNode owner, List<Clash> clashes) {
        ArrayNode all = owner.putArray("clashes");
        clashes.forEach(clash -> all.add(clash(clash)));
    }

    private ObjectNode clash(Clash clash) {
        Session session = clash.session();
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("offer", session.offer().value());
        node.put("start", AnswerWriter.instant(house.zone(), session.guests().start()));
        node.put("end", AnswerWriter.instant(house.zone(), session.guests().end()));
        if (session.place() == null) {
            node.putNull("place");
        } else {
            node.put("place", session.place().value());
        }
        ArrayNode staff = node.putArray("staff");
        house.staff().stream().map(Staff::id).filter(session.staff()::contains).forEach(id -> staff.add(id.value()));
        ArrayNode bookings = node.putArray("bookings");
        session.bookings().stream().map(Booking::id).forEach(id -> bookings.add(id.value()));
        ArrayNode reasons = node.putArray("reasons");
        clash.reasons().stream().map(Reason::code).forEach(reasons::add);
        return node;
    }
}
