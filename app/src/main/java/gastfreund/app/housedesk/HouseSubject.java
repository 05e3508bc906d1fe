package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Lists;
import gastfreund.app.editing.Part;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Note;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The house: who it is, how it looks, and its rules. */
@Component
class HouseSubject implements Subject {

    static final String ADDRESS = "/desk/house/about";

    private static final String TEXTS = "extra/checkout/texts";

    private final Orders orders;

    HouseSubject(Orders orders) {
        this.orders = orders;
    }

    @Override
    public DocumentRef ref() {
        return DocumentRef.HOUSE;
    }

    @Override
    public String address() {
        return ADDRESS;
    }

    @Override
    public String title(Document seen, Formats f) {
        return seen.name();
    }

    @Override
    public List<String> tabs() {
        return HouseParts.TABS;
    }

    @Override
    public Inputs table() {
        return HouseInputs.TABLE;
    }

    @Override
    public List<Part> parts(String tab, Asking ask) {
        return HouseParts.of(tab, ask, orders.any());
    }

    @Override
    public List<Note> notes(String tab, Document seen, Formats f) {
        boolean whole = !Inputs.at(seen.json(), "extra/legal/name").isMissingNode()
                && !Inputs.at(seen.json(), "extra/legal/address").isMissingNode()
                && !Inputs.at(seen.json(), "extra/legal/taxNumber").isMissingNode();
        return tab.equals("papers") && !whole ? List.of(Note.warn(f.text("sheet.legalMissing"))) : List.of();
    }

    @Override
    public List<String> pictures(String tab, JsonNode document) {
        return tab.equals("about") ? List.of("extra/logo", "extra/picture") : List.of();
    }

    @Override
    public void add(ObjectNode document, String list, Formats f) {
        if (list.equals(TEXTS)) {
            Lists.add(
                    document,
                    TEXTS,
                    Sort.JSON
                            .objectNode()
                            .put("id", Lists.id(document, TEXTS, "text"))
                            .put("title", f.text("sheet.newText"))
                            .put("wording", f.text("sheet.newWording")));
        }
    }

    @Override
    public void take(ObjectNode document, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        // What was sold has its amounts in this currency.
        boolean sold = form.containsKey("currency") && orders.any();
        JsonNode currency = document.path("currency");
        HouseInputs.take(document, form, unread, f);
        if (sold) {
            document.set("currency", currency);
        }
    }
}
