package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Part;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.OrderStore;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A promo code.
 *
 * @param brought what it has brought by now
 */
record CodeSubject(String code, HouseDocuments documents, OrderStore.Brought brought) implements Subject {

    /** What it takes off: a part or an amount. */
    private static final String WORTH = "worth";

    private static final Inputs TABLE = new Inputs()
            .withList("offers")
            .with("from", CodeSorts.FROM)
            .with("to", CodeSorts.TO)
            .with("minSubtotal", Sort.AMOUNT)
            .with("maxUses", Sort.WHOLE)
            .with("extra/perGuest", Sort.WHOLE);

    @Override
    public DocumentRef ref() {
        return new DocumentRef(Kind.PROMO_CODES, code);
    }

    @Override
    public String address() {
        return CodesController.address(code);
    }

    @Override
    public String title(Document seen, Formats f) {
        return seen.name();
    }

    @Override
    public List<String> tabs() {
        return List.of("code");
    }

    @Override
    public Inputs table() {
        return TABLE;
    }

    @Override
    public boolean isDeletable() {
        return true;
    }

    @Override
    public List<Part> parts(String tab, Asking ask) {
        Formats f = ask.f();
        return List.of(
                Part.of(
                        "worth-part",
                        ask.clause("worth-", "codes.worth", ask.apart(WORTH, Sorts.SHARE.said(ask.json(), f)))),
                Part.of("offers-part", ask.clause("offers-", "codes.offers"))
                        .withTicks(documents.all(Kind.OFFERS).stream()
                                .filter(o -> !o.isRetired())
                                .map(o -> ask.tick("offers/" + o.ref().id(), o.name()))
                                .toList()),
                Part.of(
                        "when-part",
                        ask.clause("dates-", "codes.dates", ask.date("from"), ask.date("to")),
                        ask.clause("least-", "codes.least", ask.number("minSubtotal", "0")),
                        ask.clause("uses-", "codes.uses", ask.number("maxUses", "∞"), ask.number("extra/perGuest", "∞"))
                                .with(brought.orders() == 0 ? List.of() : List.of(Note.done(brought(f))))));
    }

    String brought(Formats f) {
        return f.text("codes.brought", brought.orders(), f.money(brought.total()));
    }

    @Override
    public void take(ObjectNode json, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        TABLE.take(json, form, unread, f);
        String typed = String.join("", form.getOrDefault(WORTH, List.of())).strip();
        if (!form.containsKey(WORTH) || typed.equals(Sorts.SHARE.said(json, f))) {
            unread.put(WORTH, "");
            return;
        }
        Optional<JsonNode> read =
                typed.isEmpty() || typed.startsWith("-") ? Optional.empty() : Sorts.SHARE.read(typed, f);
        unread.put(WORTH, read.isPresent() ? "" : typed.isEmpty() ? " " : typed);
        read.ifPresent(worth -> {
            json.remove(List.of("percent", "amount"));
            json.setAll((ObjectNode) worth);
        });
    }

    /** The fields for a new one. */
    static List<Field> fresh(String code, String worth, Formats f) {
        return List.of(
                Field.line("code", f.text("codes.code"), CodesController.MOST_CODE)
                        .with("autocomplete", "off")
                        .with("autocapitalize", "characters")
                        .help(f.text("codes.codeHelp"))
                        .value(code),
                Field.line(WORTH, f.text("member.worth"), 20)
                        .help(f.text("codes.worthHelp"))
                        .value(worth));
    }
}
