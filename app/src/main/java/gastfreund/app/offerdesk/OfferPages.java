package gastfreund.app.offerdesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Draft;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Part;
import gastfreund.app.editing.Sort;
import gastfreund.app.effects.Effects;
import gastfreund.app.effects.FaultWords;
import gastfreund.app.effects.Names;
import gastfreund.app.hosts.Host;
import gastfreund.app.household.Retiring;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.Panel;
import gastfreund.app.openings.PanelService;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Tab;
import gastfreund.app.pictures.PictureField;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Makes the pages on which offers are listed and edited. */
@Component
class OfferPages {

    /** No booking: in a preview nothing is moved. */
    private static final BookingId NOBODYS = new BookingId("-");

    private final HouseDocuments documents;
    private final Editing editing;
    private final Effects effects;
    private final Names names;
    private final Parts parts;
    private final Findings findings;
    private final Retiring retiring;
    private final PanelService panels;

    OfferPages(
            HouseDocuments documents,
            Editing editing,
            Effects effects,
            Names names,
            Parts parts,
            Findings findings,
            Retiring retiring,
            PanelService panels) {
        this.documents = documents;
        this.editing = editing;
        this.effects = effects;
        this.names = names;
        this.parts = parts;
        this.findings = findings;
        this.retiring = retiring;
        this.panels = panels;
    }

    static String address(String id) {
        return "/desk/offers/" + id;
    }

    /**
     * @param wanted the tab that an address names
     * @param wrongPicture why the last picture was not taken, as the address says it; empty: nobody sent one
     * @param wrongMore the same of another picture
     */
    OfferEditorPage page(
            Host host,
            Document seen,
            String wanted,
            List<Note> notes,
            String wrongPicture,
            String wrongMore,
            Formats f) {
        DocumentRef ref = seen.ref();
        boolean known = Parts.TABS.contains(wanted) && (!wanted.equals("dates") || Dates.has(seen.json()));
        String tab = known ? wanted : Parts.TABS.get(0);
        boolean fresh = seen.version() == 0;
        Tried tried = tried(host, ref);
        Map<String, String> typed = editing.draft(host, ref).map(Draft::typed).orElseGet(Map::of);
        Asking ask = new Asking(
                OfferInputs.TABLE,
                new Inputs.Seen(seen.json(), FaultWords.at(tried, seen, f), typed),
                names.sentences(f),
                f);
        @Nullable House house = tried.house();
        @Nullable
        Offer offer = house == null ? null : house.offer(new OfferId(ref.id())).orElse(null);
        Map<String, List<Note>> found = house == null || offer == null
                ? Map.of()
                : switch (tab) {
                    case "sold" -> findings.of(house, offer, f);
                    case "money" -> findings.ofAddOns(offer, f);
                    default -> Map.of();
                };
        List<Part> shown = parts.of(tab, ask, found);
        String address = address(ref.id());
        return new OfferEditorPage(
                seen.name(),
                address,
                fresh,
                notes,
                tab,
                Parts.TABS.stream()
                        .filter(t -> !t.equals("dates") || Dates.has(seen.json()))
                        .map(t -> new Tab(f.text("offers.tab." + t), address + "?tab=" + t, t.equals(tab)))
                        .toList(),
                shown,
                Part.asked(shown),
                tab.equals("money") && offer != null ? Ladder.of(offer, f) : null,
                tab.equals("what")
                        ? List.of(
                                PictureField.of(
                                        seen.json()
                                                .path("extra")
                                                .path("picture")
                                                .stringValue(""),
                                        address + "/picture",
                                        wrongPicture,
                                        f),
                                PictureField.of("", address + "/more/picture", wrongMore, f)
                                        .called("more", f.text("offers.morePictures")))
                        : List.of(),
                fresh ? "" : "/desk/hours/offers/" + ref.id(),
                fresh || seen.isRetired() ? "" : "/offers/" + ref.id(),
                preview(seen, house, offer, Choice.Asked.nothing()),
                tab.equals("questions") ? questions(seen.json()) : List.of(),
                fresh ? null : retiring.of(seen, f),
                effects.of(host, List.of(ref), f));
    }

    /** The house with what a host has not kept of an offer. */
    private Tried tried(Host host, DocumentRef ref) {
        return documents.tryOut(
                editing.draft(host, ref).map(Draft::document).stream().toList());
    }

    /** The questions as guests are asked them; what is typed into them goes nowhere. */
    private static List<Field> questions(JsonNode offer) {
        List<Field> fields = new ArrayList<>();
        for (JsonNode question : offer.path("extra").path("questions")) {
            String name = "asked-" + question.path("id").stringValue("");
            String label = question.path("label").stringValue("");
            List<Field.Option> options = new ArrayList<>();
            question.path("options").forEach(o -> options.add(Field.Option.of(o.stringValue(""), o.stringValue(""))));
            Field field =
                    switch (question.path("kind").stringValue("text")) {
                        case "long" -> Field.text(name, label, Sort.TEXT.most());
                        case "choice" -> Field.choice(name, label, options);
                        case "choices" -> Field.choices(name, label, options);
                        case "tick" -> Field.tick(name, label, false);
                        default -> Field.line(name, label, Sort.LINE.most());
                    };
            fields.add(field.help(question.path("help").stringValue("")));
        }
        return fields;
    }

    /** The guest's own panel with what is not kept yet. */
    OfferEditorPage.Preview preview(Host host, Document seen, Choice.Asked asked) {
        Tried tried = tried(host, seen.ref());
        @Nullable House house = tried.house();
        return preview(
                seen,
                house,
                house == null ? null : house.offer(new OfferId(seen.ref().id())).orElse(null),
                asked);
    }

    private OfferEditorPage.Preview preview(
            Document seen, @Nullable House house, @Nullable Offer offer, Choice.Asked asked) {
        JsonNode extra = seen.json().path("extra");
        String address = address(seen.ref().id()) + "/preview";
        Panel panel = house == null || offer == null || seen.isRetired()
                ? null
                : panels.panel(
                        house,
                        Choice.of(house, offer, asked)
                                .changing(new Choice.Moving(address, NOBODYS, false, Audience.GUEST)),
                        null,
                        extra.path("agreement").booleanValue(false));
        return new OfferEditorPage.Preview(
                seen.name(),
                extra.path("summary").stringValue(""),
                extra.path("picture").stringValue(""),
                offer,
                panel,
                address);
    }

    OffersPage list(Host host, String search, List<Note> notes, Formats f) {
        List<OffersPage.Row> rows = new ArrayList<>();
        List<OffersPage.Row> retired = new ArrayList<>();
        List<DocumentRef> drafts = editing.drafts(host).stream().map(Draft::ref).toList();
        for (Document offer : offers(host)) {
            if (isFound(offer, search.toLowerCase(f.locale()), f)) {
                (offer.isRetired() ? retired : rows).add(row(offer, drafts.contains(offer.ref()), f));
            }
        }
        return new OffersPage(
                notes,
                List.copyOf(rows),
                List.copyOf(retired),
                Field.line("search", f.text("offers.search"), 60).value(search),
                search.isEmpty(),
                NewOffers.fields(f));
    }

    /** Whether its title, its category or one of its tags has what is looked for. */
    private static boolean isFound(Document offer, String search, Formats f) {
        JsonNode extra = offer.json().path("extra");
        List<String> words =
                new ArrayList<>(List.of(offer.name(), extra.path("category").stringValue("")));
        extra.path("tags").forEach(t -> words.add(t.stringValue("")));
        return words.stream().anyMatch(w -> w.toLowerCase(f.locale()).contains(search));
    }

    /** All offers in the house's order, those that are not kept yet at the end. */
    List<Document> offers(Host host) {
        List<String> order = new ArrayList<>();
        documents
                .find(DocumentRef.HOUSE)
                .ifPresent(h -> h.json().path("extra").path("offers").forEach(o -> order.add(o.stringValue(""))));
        List<Document> all = new ArrayList<>(documents.all(Kind.OFFERS));
        all.sort((a, b) -> Integer.compare(place(order, a), place(order, b)));
        editing.drafts(host).stream()
                .filter(d -> d.isNew() && d.ref().kind() == Kind.OFFERS)
                .forEach(d -> all.add(d.document()));
        return all;
    }

    private static int place(List<String> order, Document offer) {
        int at = order.indexOf(offer.ref().id());
        return at < 0 ? Integer.MAX_VALUE : at;
    }

    private static OffersPage.Row row(Document offer, boolean draft, Formats f) {
        JsonNode json = offer.json();
        List<String> facts = new ArrayList<>();
        for (JsonNode length : json.path("lengths")) {
            if (length.path("minutes").isIntegralNumber()
                    && length.path("price").isIntegralNumber()) {
                facts.add(f.text(
                        "offers.fact",
                        Spans.said(length.path("minutes").longValue(), f),
                        f.shortMoney(Money.ofMinor(length.path("price").longValue()))));
            }
        }
        String category = json.path("extra").path("category").stringValue("");
        return new OffersPage.Row(
                offer.ref().id(),
                offer.name(),
                address(offer.ref().id()),
                String.join(" · ", facts),
                category,
                f.text("word.listing." + json.path("extra").path("listing").stringValue("listed")),
                draft,
                offer.version() == 0);
    }

    /** What a host sees of an offer; empty where there is none. */
    Optional<Document> seen(Host host, String id) {
        return editing.seen(host, DocumentRef.offer(id));
    }
}
