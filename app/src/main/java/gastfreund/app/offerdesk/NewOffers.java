package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.NewIds;
import gastfreund.app.editing.Sort;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.typed.Written;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Begins offers: not from an empty form, but from what happens in them. */
@Component
class NewOffers {

    /** What happens: somebody gives time, things are hired, several share a session, or it has dates of its own. */
    private static final List<String> HAPPENS = List.of("time", "things", "shared", "dates");

    private static final int USUAL_MINUTES = 60;
    private static final int USUAL_SEATS = 8;

    private final HouseDocuments documents;
    private final Editing editing;
    private final NewIds ids;
    private final Clock clock;

    NewOffers(HouseDocuments documents, Editing editing, NewIds ids, Clock clock) {
        this.documents = documents;
        this.editing = editing;
        this.ids = ids;
        this.clock = clock;
    }

    static List<Field> fields(Formats f) {
        return List.of(
                Field.line("title", f.text("offers.new.title"), 120).required().with("autocomplete", "off"),
                Field.choice(
                                "happens",
                                f.text("offers.new.happens"),
                                HAPPENS.stream()
                                        .map(h -> new Field.Option(
                                                h, f.text("offers.happens." + h), f.text("offers.happensAside." + h)))
                                        .toList())
                        .value(HAPPENS.get(0)));
    }

    /** Begins one as a draft; empty where it has no title. */
    Optional<DocumentRef> begin(Host host, String typedTitle, String happens, Formats f) {
        String title = Written.line(typedTitle, 120);
        if (title.isEmpty()) {
            return Optional.empty();
        }
        DocumentRef ref = ids.free(host, Kind.OFFERS, title);
        ObjectNode offer = Sort.JSON.objectNode().put("id", ref.id()).put("title", title);
        offer.putArray("lengths")
                .addObject()
                .put("id", "length-1")
                .put("minutes", USUAL_MINUTES)
                .put("price", 0);
        first(Kind.PLACES).ifPresent(place -> offer.putArray("places").add(place));
        switch (happens) {
            case "things" -> first(Kind.RESOURCES).ifPresent(thing -> offer.putArray("uses")
                    .addObject()
                    .put("resource", thing)
                    .put("per", "booking"));
            case "shared" -> {
                offer.put("sharing", "shared").put("seats", USUAL_SEATS);
                offer.putObject("starts").putArray("at").add("10:00").add("14:00");
            }
            case "dates" -> dates(offer, f);
            default -> staff(offer);
        }
        editing.begin(host, new Document(ref, 0, offer));
        return Optional.of(ref);
    }

    /** Another one like it, as a draft. */
    DocumentRef duplicate(Host host, Document offer, Formats f) {
        String title = Written.line(f.text("offers.copyOf", offer.name()), 120);
        DocumentRef ref = ids.free(host, Kind.OFFERS, title);
        ObjectNode copy = offer.json().deepCopy();
        copy.put("id", ref.id()).put("title", title);
        copy.remove("retired");
        editing.begin(host, new Document(ref, 0, copy));
        return ref;
    }

    private void staff(ObjectNode offer) {
        List<String> people = documents.all(Kind.STAFF).stream()
                .filter(d -> !d.isRetired())
                .map(d -> d.ref().id())
                .toList();
        if (!people.isEmpty()) {
            ArrayNode of = offer.putObject("staff").put("pick", "any").putArray("of");
            people.forEach(of::add);
        }
    }

    /** Six evenings from the Monday after next on. */
    private void dates(ObjectNode offer, Formats f) {
        LocalDate first = f.zone().dateOf(clock.instant()).plusWeeks(1).with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        offer.put("mode", "timetable").put("sharing", "shared").put("seats", USUAL_SEATS);
        offer.putArray("timetable")
                .addObject()
                .put("start", first + "T18:00")
                .put("rrule", "FREQ=WEEKLY;COUNT=6")
                .put("length", "length-1");
    }

    private Optional<String> first(Kind kind) {
        return documents.all(kind).stream()
                .filter(d -> !d.isRetired())
                .map(d -> d.ref().id())
                .findFirst();
    }
}
