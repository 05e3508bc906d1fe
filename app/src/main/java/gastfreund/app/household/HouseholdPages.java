package gastfreund.app.household;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.Fault;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.effects.Effect;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.FaultWords;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pictures.PictureField;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Makes the pages of the people, things and places of the house. */
@Component
class HouseholdPages {

    /** The kinds that have a page here. */
    static final List<Kind> KINDS = List.of(Kind.STAFF, Kind.RESOURCES, Kind.PLACES);

    private final HouseDocuments documents;
    private final Editing editing;
    private final Effects effects;
    private final Serves serves;
    private final Retiring retiring;

    HouseholdPages(HouseDocuments documents, Editing editing, Effects effects, Serves serves, Retiring retiring) {
        this.documents = documents;
        this.editing = editing;
        this.effects = effects;
        this.serves = serves;
        this.retiring = retiring;
    }

    Form form(Kind kind) {
        return switch (kind) {
            case STAFF -> new PersonForm();
            case RESOURCES -> new ThingForm();
            default -> new PlaceForm(withAddress());
        };
    }

    /** The names of the places on site whose address is known, by id. */
    private Map<String, String> withAddress() {
        Map<String, String> names = new LinkedHashMap<>();
        documents.all(Kind.PLACES).stream()
                .filter(p -> p.json().path("kind").stringValue("onsite").equals("onsite"))
                .filter(p -> !Form.extra(p.json(), "address").isEmpty())
                .forEach(p -> names.put(p.ref().id(), p.name()));
        return names;
    }

    static String address(DocumentRef ref) {
        return "/desk/house/" + ref.kind().code() + "/" + ref.id();
    }

    /** The documents that are kept together with one: of a person, the offers in which it was changed who serves. */
    List<DocumentRef> together(Host host, DocumentRef ref) {
        List<DocumentRef> refs = new ArrayList<>(List.of(ref));
        if (ref.kind() == Kind.STAFF) {
            refs.addAll(serves.changed(host));
        }
        return refs;
    }

    /** @param wrongPicture why the last picture was not taken, as the address says it; empty: nobody sent one */
    HouseholdPage page(Host host, Document seen, List<Note> notes, String wrongPicture, Formats f) {
        DocumentRef ref = seen.ref();
        Optional<Draft> draft = editing.draft(host, ref);
        Effect effect = effects.of(host, together(host, ref), f);
        Form.Faults faults =
                new Form.Faults(wrong(host, ref, f), draft.map(Draft::typed).orElse(Map.of()));
        boolean fresh = seen.version() == 0;
        boolean person = ref.kind() == Kind.STAFF;
        List<Serves.Row> rows = person && !fresh ? serves.rows(host, ref.id(), f) : List.of();
        return new HouseholdPage(
                seen.name(),
                address(ref),
                fresh,
                notes,
                form(ref.kind()).fields(seen.json(), faults, f),
                person
                        ? PictureField.of(
                                Form.extra(seen.json(), "picture"), address(ref) + "/picture", wrongPicture, f)
                        : null,
                rows,
                rows.stream()
                        .map(r -> r.serves().name().substring("serves-".length()))
                        .toList(),
                fresh ? "" : "/desk/hours/" + ref.kind().code() + "/" + ref.id(),
                fresh ? null : retiring.of(seen, f),
                effect);
    }

    /** What the reader of house files has against a draft, by path. */
    private Map<String, String> wrong(Host host, DocumentRef ref, Formats f) {
        Map<String, String> wrong = new HashMap<>();
        editing.draft(host, ref).ifPresent(draft -> {
            Document tried = new Document(ref, draft.version(), draft.json());
            for (Fault fault : documents.tryOut(List.of(tried)).faults()) {
                if (fault.document().equals(ref)) {
                    wrong.putIfAbsent(fault.path(), FaultWords.of(fault.message(), f));
                }
            }
        });
        return wrong;
    }

    HouseholdPage.Index index(Host host, List<Note> notes, Formats f) {
        List<HouseholdPage.Group> groups =
                KINDS.stream().map(k -> group(host, k, f)).toList();
        List<Document> offers = documents.all(Kind.OFFERS).stream()
                .filter(o -> !o.isRetired())
                .filter(o -> o.json().path("staff").path("pick").stringValue("").equals("any"))
                .filter(o -> o.json().path("staff").path("of").size() > 1)
                .toList();
        List<Field> getsIt = offers.stream().map(o -> getsIt(host, o, f)).toList();
        List<DocumentRef> changed = serves.changed(host);
        List<DocumentRef> about = changed.isEmpty() ? List.of(DocumentRef.HOUSE) : changed;
        Field ownHours = Field.tick(
                "ownHours",
                f.text("member.extra.ownHours"),
                documents
                        .find(DocumentRef.HOUSE)
                        .map(h -> h.json().path("extra").path("ownHours").booleanValue(false))
                        .orElse(false));
        return new HouseholdPage.Index(notes, groups, getsIt, ownHours, "/desk/house", effects.of(host, about, f));
    }

    private Field getsIt(Host host, Document offer, Formats f) {
        JsonNode json = editing.seen(host, offer.ref()).map(Document::json).orElse(offer.json());
        return Field.select(
                        "assign-" + offer.ref().id(),
                        offer.name(),
                        List.of(
                                Field.Option.of("least", f.text("household.assign.least")),
                                Field.Option.of("order", f.text("household.assign.order"))))
                .value(json.path("staff").path("assign").stringValue("least"));
    }

    private HouseholdPage.Group group(Host host, Kind kind, Formats f) {
        List<HouseholdPage.Row> rows = new ArrayList<>();
        List<HouseholdPage.Row> retired = new ArrayList<>();
        List<DocumentRef> drafts = editing.drafts(host).stream().map(Draft::ref).toList();
        List<Document> all = new ArrayList<>(documents.all(kind));
        editing.drafts(host).stream()
                .filter(d -> d.isNew() && d.ref().kind() == kind)
                .forEach(d -> all.add(new Document(d.ref(), 0, d.json())));
        for (Document one : all) {
            HouseholdPage.Row row =
                    new HouseholdPage.Row(one.name(), address(one.ref()), facts(one, f), drafts.contains(one.ref()));
            (one.isRetired() ? retired : rows).add(row);
        }
        Field add = Field.line("name", f.text("household.add." + kind.code()), Form.MOST_LINE)
                .id("add-" + kind.code())
                .required()
                .with("autocomplete", "off");
        return new HouseholdPage.Group(
                kind.code(),
                f.text("hours.group." + kind.code()),
                f.text("household.help." + kind.code()),
                rows,
                retired,
                add);
    }

    private String facts(Document one, Formats f) {
        return switch (one.ref().kind()) {
            case STAFF -> String.join(", ", serves.titles(one.ref().id()));
            case RESOURCES -> f.text("household.units", one.json().path("units").intValue(1));
            default -> f.text("household.kind." + one.json().path("kind").stringValue("onsite"));
        };
    }
}
