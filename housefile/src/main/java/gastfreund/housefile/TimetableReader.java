package gastfreund.housefile;

import gastfreund.core.offers.Length;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.time.Recurrence;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads the timetable of an offer. */
final class TimetableReader {

    private static final int MOST = 1_000_000;

    private final References references;
    private final List<Length> lengths;
    private final List<PlaceId> places;

    /** @param places of the offer; the first is that of every entry without one */
    TimetableReader(References references, List<Length> lengths, List<PlaceId> places) {
        this.references = references;
        this.lengths = lengths;
        this.places = places;
    }

    /** Empty where something is wrong with it. */
    Optional<Timetable> timetable(Node offer) {
        Node node = offer.required("timetable");
        List<Timetable.Entry> entries = new ArrayList<>();
        for (Node entry : node.elements()) {
            entry(entry).ifPresent(entries::add);
        }
        if (node.elements().isEmpty()) {
            node.problem("must have an entry");
        }
        return entries.isEmpty() ? Optional.empty() : Optional.of(new Timetable(entries));
    }

    private Optional<Timetable.Entry> entry(Node node) {
        node.object("start", "rrule", "exdates", "length", "staff", "place", "seats");
        LocalDateTime start = node.required("start").localDateTime();
        String rule = node.member("rrule").map(Node::text).orElse(null);
        Set<LocalDate> without = new HashSet<>();
        node.elements("exdates").forEach(d -> without.add(d.date()));
        Node length = node.required("length");
        String id = length.text();
        Optional<Length> known =
                lengths.stream().filter(l -> l.id().value().equals(id)).findFirst();
        if (known.isEmpty()) {
            length.problem("is no length of the offer");
        }
        List<StaffId> staff = node.elements("staff").stream()
                .map(s -> new StaffId(references.staff(s)))
                .toList();
        PlaceId place = node.member("place")
                .map(p -> new PlaceId(references.place(p)))
                .orElse(places.isEmpty() ? null : places.get(0));
        Optional<Recurrence> times =
                (rule == null ? node.at("start") : node.at("rrule")).made(() -> Recurrence.of(start, rule, without));
        if (times.isEmpty() || known.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Timetable.Entry(times.get(), known.get(), staff, place, node.integer("seats", 1, MOST)));
    }
}
