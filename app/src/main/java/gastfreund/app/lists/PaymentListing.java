package gastfreund.app.lists;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.lists.Columns.Column;
import gastfreund.core.orders.PaymentState;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;

/** The list of payments. */
@Component
class PaymentListing implements Listing {

    private static final List<String> WAYS = List.of(
            "card",
            "practice-card",
            "transfer",
            "practice-transfer",
            "cash",
            "terminal",
            "on-the-spot",
            "voucher",
            "elsewhere");

    private static final Columns COLUMNS = new Columns(List.of(
            new Column("begun", false, true),
            new Column("order", false, true),
            new Column("guest", false, true),
            new Column("way", false, true),
            new Column("state", false, true),
            new Column("reference", false, false),
            new Column("amount", true, false),
            new Column("received", true, true),
            new Column("back", true, true)));

    private final ListingStore store;
    private final CatalogueService catalogues;

    PaymentListing(ListingStore store, CatalogueService catalogues) {
        this.store = store;
        this.catalogues = catalogues;
    }

    @Override
    public String name() {
        return "payments";
    }

    @Override
    public Columns columns() {
        return COLUMNS;
    }

    @Override
    public List<String> states() {
        return Arrays.stream(PaymentState.values()).map(PaymentState::code).toList();
    }

    @Override
    public String stateKey() {
        return "step.";
    }

    @Override
    public List<String> ways() {
        return WAYS;
    }

    @Override
    public boolean isOfOrders() {
        return false;
    }

    @Override
    public List<Row> rows(Looked looked, long before, int most, Formats f) {
        return store.payments(looked, Dates.between(looked, catalogues), before, most).stream()
                .map(p -> row(p, f))
                .toList();
    }

    private static Row row(ListingStore.PaymentRow p, Formats f) {
        String number = Long.toString(p.order());
        String way = f.text("gateway." + p.way());
        String state = f.text("step." + p.state().replace(' ', '-'));
        return new Row(
                p.id(),
                p.order(),
                List.of(
                        f.moment(p.created()),
                        number,
                        p.guest(),
                        way,
                        state,
                        p.reference(),
                        f.money(p.amount()),
                        f.money(p.captured()),
                        p.refunded().isPositive() ? f.money(p.refunded()) : ""),
                List.of(
                        Dates.plain(p.created(), f),
                        number,
                        p.guest(),
                        way,
                        state,
                        p.reference(),
                        f.decimal(p.amount()),
                        f.decimal(p.captured()),
                        f.decimal(p.refunded())));
    }

    @Override
    public String sums(Looked looked, Formats f) {
        ListingStore.Sums sums = store.paymentSums(looked, Dates.between(looked, catalogues));
        return f.text(
                "lists.paymentSums",
                sums.count(),
                f.money(sums.first()),
                f.money(sums.second()),
                f.money(sums.third()));
    }
}
