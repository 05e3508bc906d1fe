package gastfreund.app.lists;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.lists.Columns.Column;
import gastfreund.app.orders.OrderStatus;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;

/** The list of orders. */
@Component
class OrderListing implements Listing {

    private static final Columns COLUMNS = new Columns(List.of(
            new Column("order", false, true),
            new Column("placed", false, true),
            new Column("guest", false, true),
            new Column("mail", false, false),
            new Column("telephone", false, false),
            new Column("company", false, false),
            new Column("what", false, true),
            new Column("state", false, true),
            new Column("source", false, false),
            new Column("total", true, true),
            new Column("paid", true, false),
            new Column("open", true, true)));

    private final ListingStore store;
    private final CatalogueService catalogues;

    OrderListing(ListingStore store, CatalogueService catalogues) {
        this.store = store;
        this.catalogues = catalogues;
    }

    @Override
    public String name() {
        return "orders";
    }

    @Override
    public Columns columns() {
        return COLUMNS;
    }

    @Override
    public List<String> states() {
        return Arrays.stream(OrderStatus.values()).map(OrderStatus::code).toList();
    }

    @Override
    public String stateKey() {
        return "step.";
    }

    @Override
    public List<String> ways() {
        return List.of();
    }

    @Override
    public boolean isOfOrders() {
        return true;
    }

    @Override
    public List<Row> rows(Looked looked, long before, int most, Formats f) {
        return store.orders(looked, Dates.between(looked, catalogues), before, most).stream()
                .map(o -> row(o, f))
                .toList();
    }

    private static Row row(ListingStore.OrderRow o, Formats f) {
        String number = Long.toString(o.number());
        String state = f.text("step." + o.status());
        return new Row(
                o.id(),
                o.number(),
                List.of(
                        number,
                        f.moment(o.placed()),
                        o.name(),
                        o.email(),
                        o.phone(),
                        o.company(),
                        o.what(),
                        state,
                        o.source(),
                        f.money(o.total()),
                        f.money(o.paid()),
                        o.open().isPositive() ? f.money(o.open()) : ""),
                List.of(
                        number,
                        Dates.plain(o.placed(), f),
                        o.name(),
                        o.email(),
                        o.phone(),
                        o.company(),
                        o.what(),
                        state,
                        o.source(),
                        f.decimal(o.total()),
                        f.decimal(o.paid()),
                        f.decimal(o.open())));
    }

    @Override
    public String sums(Looked looked, Formats f) {
        ListingStore.Sums sums = store.orderSums(looked, Dates.between(looked, catalogues));
        return f.text(
                "lists.orderSums", sums.count(), f.money(sums.first()), f.money(sums.second()), f.money(sums.third()));
    }
}
