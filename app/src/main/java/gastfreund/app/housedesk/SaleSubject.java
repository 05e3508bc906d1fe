package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.catalogue.DocumentRef.Kind;
import gastfreund.app.catalogue.HouseDocuments;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Lists;
import gastfreund.app.editing.Part;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.vouchers.PrepaidService;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What the house sells without a time: vouchers, passes and goods. */
@Component
class SaleSubject implements Subject {

    static final String ADDRESS = "/desk/house/sale";

    private static final Inputs TABLE = new Inputs()
            .with("extra/vouchers/*/title", Sort.LINE)
            .with("extra/vouchers/*/summary", Sort.TEXT)
            .with("extra/vouchers/*/included", Sort.LINES)
            .with("extra/vouchers/*/pictureText", Sort.LINE)
            .with("extra/vouchers/*/amounts", SaleSorts.AMOUNTS)
            .with("extra/vouchers/*/free/min", Sort.AMOUNT)
            .with("extra/vouchers/*/free/max", Sort.AMOUNT)
            .with("extra/vouchers/*/months", Sort.WHOLE, Sort.number(36))
            .with("extra/passes/*/title", Sort.LINE)
            .with("extra/passes/*/summary", Sort.TEXT)
            .with("extra/passes/*/included", Sort.LINES)
            .with("extra/passes/*/pictureText", Sort.LINE)
            .with("extra/passes/*/price", Sort.AMOUNT)
            .with("extra/passes/*/visits", Sort.WHOLE)
            .withList("extra/passes/*/offers")
            .with("extra/passes/*/taxPercent", Sort.PERCENT, Sort.JSON.stringNode("0"))
            .with("extra/passes/*/months", Sort.WHOLE, Sort.number(36))
            .with("extra/goods/*/title", Sort.LINE)
            .with("extra/goods/*/summary", Sort.TEXT)
            .with("extra/goods/*/included", Sort.LINES)
            .with("extra/goods/*/pictureText", Sort.LINE)
            .with("extra/goods/*/price", Sort.AMOUNT)
            .with("extra/goods/*/stock", Sort.WHOLE)
            .with("extra/goods/*/most", Sort.WHOLE, Sort.number(10))
            .with("extra/goods/*/taxPercent", Sort.PERCENT, Sort.JSON.stringNode("0"))
            .with("extra/goods/*/handover", SaleSorts.HANDOVER, Sort.JSON.stringNode("house"));

    private final HouseDocuments documents;
    private final PrepaidService prepaid;

    SaleSubject(HouseDocuments documents, PrepaidService prepaid) {
        this.documents = documents;
        this.prepaid = prepaid;
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
        return f.text("sale.title");
    }

    @Override
    public List<String> tabs() {
        return List.of("goods", "vouchers", "passes");
    }

    @Override
    public Inputs table() {
        return TABLE;
    }

    @Override
    public List<Part> parts(String tab, Asking ask) {
        List<Part> parts = new ArrayList<>();
        for (JsonNode one : ask.json().path("extra").path(tab)) {
            String member = list(tab) + "/" + one.path("id").stringValue("");
            parts.add(
                    switch (tab) {
                        case "vouchers" -> voucher(ask, member);
                        case "passes" -> pass(ask, member);
                        default -> good(ask, member, one);
                    });
        }
        parts.add(Part.list("more", List.of(), list(tab), ask.f().text("sale.add." + tab))
                .titled(parts.isEmpty() ? ask.f().text("sale.none." + tab) : ""));
        return parts;
    }

    private static String list(String tab) {
        return "extra/" + tab;
    }

    private static List<Field> words(Asking ask, String member) {
        return List.of(
                ask.line(member + "/title"),
                ask.text(member + "/summary"),
                ask.text(member + "/included").help(ask.f().text("sheet.lines")),
                ask.line(member + "/pictureText").help(ask.f().text("sheet.pictureTextHelp")));
    }

    private static Part voucher(Asking ask, String member) {
        return Part.of(
                        member,
                        ask.clause(
                                        member,
                                        "sale.voucher",
                                        ask.line(member + "/amounts"),
                                        ask.number(member + "/free/min", "–"),
                                        ask.number(member + "/free/max", "–"),
                                        ask.number(member + "/months"))
                                .removed(member)
                                .moved())
                .withFields(words(ask, member));
    }

    private Part pass(Asking ask, String member) {
        return Part.of(
                        member,
                        ask.clause(
                                        member,
                                        "sale.pass",
                                        ask.number(member + "/price"),
                                        ask.number(member + "/taxPercent"),
                                        ask.number(member + "/visits"),
                                        ask.number(member + "/months"))
                                .removed(member)
                                .moved())
                .withTicks(documents.all(Kind.OFFERS).stream()
                        .filter(o -> !o.isRetired())
                        .map(o -> ask.tick(member + "/offers/" + o.ref().id(), o.name()))
                        .toList())
                .withFields(words(ask, member));
    }

    private Part good(Asking ask, String member, JsonNode good) {
        return Part.of(
                        member,
                        ask.clause(
                                        member,
                                        "sale.good",
                                        ask.number(member + "/price"),
                                        ask.number(member + "/taxPercent"),
                                        ask.number(member + "/stock", "∞"),
                                        ask.number(member + "/most"),
                                        ask.word(member + "/handover", "house", "booking"))
                                .removed(member)
                                .moved()
                                .with(stock(good, ask.f())))
                .withFields(words(ask, member));
    }

    /** How it stands with a ware that was sold before. */
    private List<Note> stock(JsonNode good, Formats f) {
        PrepaidService.Stock stock = prepaid.stockOf(good.path("id").stringValue(""));
        int all = good.path("stock").intValue(-1);
        return stock.taken() == 0 || all < 0
                ? List.of()
                : List.of(Note.done(
                        f.text("sale.stock", stock.sold(), stock.awaited(), Math.max(0, all - stock.taken()))));
    }

    @Override
    public List<String> pictures(String tab, JsonNode document) {
        List<String> pictures = new ArrayList<>();
        document.path("extra")
                .path(tab)
                .forEach(one -> pictures.add(list(tab) + "/" + one.path("id").stringValue("") + "/picture"));
        return pictures;
    }

    @Override
    public void add(ObjectNode house, String list, Formats f) {
        switch (list) {
            case "extra/vouchers" -> {
                ObjectNode fresh = named(house, list, "voucher", f);
                fresh.putArray("amounts").add(2500).add(5000);
                Lists.add(house, list, fresh.put("months", 36));
            }
            case "extra/passes" -> {
                ObjectNode fresh = named(house, list, "pass", f).put("price", 0).put("visits", 10);
                fresh.putArray("offers");
                Lists.add(house, list, fresh.put("months", 12));
            }
            case "extra/goods" -> Lists.add(
                    house, list, named(house, list, "good", f).put("price", 0));
            default -> {
                // An old page or somebody's own form.
            }
        }
    }

    private static ObjectNode named(ObjectNode house, String list, String like, Formats f) {
        return Sort.JSON.objectNode().put("id", Lists.id(house, list, like)).put("title", f.text("sale.new." + like));
    }

    @Override
    public void take(ObjectNode house, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        TABLE.take(house, form, unread, f);
        // A pass for nothing says so as a fault.
        for (JsonNode pass : house.path("extra").path("passes")) {
            if (!pass.has("offers")) {
                ((ObjectNode) pass).putArray("offers");
            }
        }
    }
}
