package gastfreund.app.documents;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.vouchers.Goods;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Issues receipts for what was booked and credit notes for what goes back, in the transaction that causes them. */
@Component
public class Documents {

    private final DocumentStore store;
    private final CatalogueService catalogues;
    private final Speech speech;
    private final Clock clock;

    Documents(DocumentStore store, CatalogueService catalogues, Speech speech, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.speech = speech;
        this.clock = clock;
    }

    public List<Document> ofOrder(Order order) {
        return store.ofOrder(order.id());
    }

    /** A receipt for lines that were booked, and for vouchers and passes that were issued. */
    public void receipt(Order order, List<OrderLine> lines, List<Goods> goods) {
        List<Entry> entries = new ArrayList<>();
        for (OrderLine line : lines) {
            entries.add(entry(order, line, line.asked()));
        }
        for (Goods one : goods) {
            entries.add(new Entry(one.called(), one.recipient(), one.price(), one.taxRate()));
        }
        if (!entries.isEmpty()) {
            Money paid = Money.sum(lines.stream().map(OrderLine::paid).toList())
                    .plus(Money.sum(goods.stream().map(Goods::price).toList()));
            issue(order, Document.Kind.RECEIPT, entries, paid);
        }
    }

    /** A receipt for what a line costs more since it was moved, and what is still to be paid. */
    public void receiptOfMore(Order order, OrderLine line, Money more) {
        issue(order, Document.Kind.RECEIPT, List.of(entry(order, line, more)), Money.ZERO);
    }

    /**
     * A credit note for what a line costs less; where no receipt was issued, since it was booked elsewhere, for what goes
     * back.
     *
     * @param less what it costs less, paid or not
     * @param back what of it goes back
     */
    public void creditNote(Order order, OrderLine line, Money less, Money back) {
        boolean receipted = store.ofOrder(order.id()).stream().anyMatch(d -> d.kind() == Document.Kind.RECEIPT);
        Money credited = receipted ? less : back;
        if (credited.isPositive()) {
            issue(order, Document.Kind.CREDIT_NOTE, List.of(entry(order, line, credited)), back);
        }
    }

    /** A credit note for a line that has ended, of which the house keeps what it has less what goes back. */
    public void creditNoteOfEnd(Order order, OrderLine line, Money back) {
        creditNote(order, line, line.asked().minus(line.paid().minus(back)).notBelowZero(), back);
    }

    /** A credit note for a voucher or a pass that is taken back. */
    public void creditNote(Order order, Goods goods) {
        Entry entry = new Entry(goods.called(), goods.recipient(), goods.price(), goods.taxRate());
        issue(order, Document.Kind.CREDIT_NOTE, List.of(entry), goods.price());
    }

    /** One thing on a document. */
    private record Entry(String title, String when, Money amount, Percent taxRate) {}

    private Entry entry(Order order, OrderLine line, Money amount) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        String when = f.dayAndTimes(line.time())
                + (line.covered().isPositive() ? " \u00b7 " + f.text("document.byPass") : "");
        return new Entry(line.sold().title(), when, amount, line.sold().taxRate());
    }

    private void issue(Order order, Document.Kind kind, List<Entry> entries, Money paid) {
        Catalogue catalogue = catalogues.catalogue();
        List<Money> amounts = entries.stream().map(Entry::amount).toList();
        List<Document.Item> items = entries.stream()
                .map(e -> new Document.Item(
                        e.title(), e.when(), e.amount(), e.taxRate().toString()))
                .toList();
        List<Document.Tax> taxes = ContainedTax.of(
                        entries.stream().map(Entry::taxRate).toList(), amounts)
                .stream()
                .filter(t -> t.tax().isPositive())
                .map(t -> new Document.Tax(t.rate().toString(), t.net(), t.tax()))
                .toList();
        store.insert(
                order.id(),
                new Document(
                        0,
                        kind,
                        order.number(),
                        clock.instant(),
                        order.locale(),
                        catalogue.house().name(),
                        catalogue.extras().legal().inLines(),
                        order.contact().inLines(),
                        items,
                        taxes,
                        Money.sum(amounts),
                        paid));
    }
}
