package gastfreund.app.start;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.catalogue.Tried;
import gastfreund.app.editing.Editing;
import gastfreund.app.editing.Figures;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Keeping;
import gastfreund.app.editing.NewIds;
import gastfreund.app.editing.Sort;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.app.typed.Written;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Window;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import java.time.DayOfWeek;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** Makes a house out of four answers, and opens it. */
@Service
public class Starting {

    private static final int MOST_TITLE = 120;
    private static final int MOST_MINUTES = 1440;
    private static final int MOST_PARTY = 500;
    private static final Set<String> PAYS = Set.of("venue", "full", "deposit");
    private static final int USUAL_DEPOSIT = 30;

    private final HouseDocuments documents;
    private final Editing editing;
    private final NewIds ids;
    private final CatalogueService catalogues;

    Starting(HouseDocuments documents, Editing editing, NewIds ids, CatalogueService catalogues) {
        this.catalogues = catalogues;
        this.documents = documents;
        this.editing = editing;
        this.ids = ids;
    }

    /**
     * What the answers make.
     *
     * @param wrong what cannot be read, by field, in words
     * @param house null where something is wrong
     * @param offer null where something is wrong
     * @param week the windows that could be read
     */
    record Made(
            Map<String, String> wrong,
            @Nullable House house,
            @Nullable Offer offer,
            Map<DayOfWeek, List<Window>> week,
            List<Document> documents) {}

    /** Whether nothing is offered yet. */
    boolean isBare() {
        return catalogues.find().filter(c -> c.house().offers().isEmpty()).isPresent();
    }

    Made made(Host host, Answers answers, Formats f) {
        Map<String, String> wrong = new LinkedHashMap<>();
        String title = Written.line(answers.title(), MOST_TITLE);
        if (title.isEmpty()) {
            wrong.put("title", f.text("start.noTitle"));
        }
        OptionalLong minutes = Spans.read(answers.minutes(), 1);
        if (minutes.isEmpty() || minutes.getAsLong() < 1 || minutes.getAsLong() > MOST_MINUTES) {
            wrong.put("minutes", f.text("start.noMinutes"));
        }
        Optional<Money> price = f.amount(Written.line(answers.price(), 40));
        if (price.isEmpty()) {
            wrong.put("price", f.text("start.noPrice"));
        }
        int party = number(answers.party());
        if (party < 1) {
            wrong.put("party", f.text("start.noParty"));
        }
        Optional<Map<DayOfWeek, List<Window>>> week = WeekWords.read(answers.week(), new Figures(f.words(), Map.of()));
        if (week.isEmpty()) {
            wrong.put("week", f.text("start.noWeek"));
        }
        if (!wrong.isEmpty()) {
            return new Made(wrong, null, null, week.orElseGet(Map::of), List.of());
        }
        DocumentRef ref = ids.free(host, Kind.OFFERS, title);
        ObjectNode offer = offer(ref.id(), title, minutes.getAsLong(), price.orElseThrow(), party, answers.pay());
        Document house = documents.find(DocumentRef.HOUSE).orElseThrow();
        ObjectNode json = house.json().deepCopy();
        json.set("hours", WeekWords.hours(week.orElseThrow()));
        Inputs.set(json, "extra/opening", Sort.JSON.stringNode("hosts"));
        List<Document> both = List.of(house.with(json), new Document(ref, 0, offer));
        Tried tried = documents.tryOut(both);
        @Nullable House right = tried.house();
        if (right == null) {
            wrong.put("week", f.text("start.noWeek"));
            return new Made(wrong, null, null, week.orElseThrow(), List.of());
        }
        return new Made(wrong, right, right.offer(new OfferId(ref.id())).orElseThrow(), week.orElseThrow(), both);
    }

    private static int number(String typed) {
        String digits = typed.strip();
        boolean is = !digits.isEmpty() && digits.length() < 4 && digits.chars().allMatch(c -> c >= '0' && c <= '9');
        int number = is ? Integer.parseInt(digits) : 0;
        return number > MOST_PARTY ? 0 : number;
    }

    private static ObjectNode offer(String id, String title, long minutes, Money price, int party, String pay) {
        ObjectNode offer = Sort.JSON.objectNode().put("id", id).put("title", title);
        offer.putArray("lengths")
                .addObject()
                .put("id", "length-1")
                .put("minutes", (int) minutes)
                .put("price", price.minor());
        if (party > 1) {
            offer.putObject("party").put("min", 1).put("max", party);
        }
        offer.putObject("starts").put("every", (int) minutes).put("anchor", "window");
        String when = PAYS.contains(pay) ? pay : "venue";
        ObjectNode payment = offer.putObject("payment").put("when", when);
        if (when.equals("deposit")) {
            payment.putObject("deposit").put("percent", USUAL_DEPOSIT);
        }
        return offer;
    }

    /** Opens the house to its hosts; false where something is wrong, or something is offered already. */
    @Transactional
    public boolean open(Host host, Answers answers, Formats f) {
        Made made = made(host, answers, f);
        if (made.house() == null || !isBare()) {
            return false;
        }
        Document house = made.documents().get(0);
        Document offer = made.documents().get(1);
        editing.drop(host, List.of(house.ref(), offer.ref()));
        editing.begin(host, offer);
        editing.change(host, house.ref(), json -> json.setAll(house.json()), Map.of());
        return editing.keep(host, List.of(house.ref(), offer.ref())) instanceof Keeping.Kept;
    }

    /** Opens the house to everybody, at once. */
    @Transactional
    public boolean openToEverybody(Host host) {
        return editing.atOnce(host, Map.of(DocumentRef.HOUSE, json -> Inputs.set(json, "extra/opening", null)))
                instanceof Keeping.Kept;
    }
}
