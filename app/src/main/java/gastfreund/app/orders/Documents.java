package gastfreund.app.orders;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.house.Formats;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Issues receipts for what was booked and credit notes for what goes back, in the transaction that causes them. */
@Component
class Documents {

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

    List<Document> ofOrder(Order order) {
        return store.ofOrder(order.id());
    }

    /** A receipt for lines that were booked. */
    void receipt(Order order, List<OrderLine> lines) {
        if (!lines.isEmpty()) {
            Money paid = Money.sum(lines.stream().map(OrderLine::paid).toList());
            issue(order, Document.Kind.RECEIPT, lines, lines.stream().map(OrderLine::total).toList(), paid);
        }
    }

    /** A credit note for money of a line that goes back. */
    void creditNote(Order order, OrderLine line, Money back) {
        issue(order, Document.Kind.CREDIT_NOTE, List.of(line), List.of(back), back);
    }

    private void issue(Order order, Document.Kind kind, List<OrderLine> lines, List<Money> amounts, Money paid) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = speech.in(order.locale(), catalogue);
        List<Percent> rates =
                lines.stream().map(l -> catalogue.offer(l.offer()).taxRate()).toList();
        List<Document.Item> items = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            String title = catalogue.offer(lines.get(i).offer()).title();
            items.add(new Document.Item(title, f.dayAndTimes(lines.get(i).time()), amounts.get(i)));
        }
        List<Document.Tax> taxes = ContainedTax.of(rates, amounts).stream()
                .filter(t -> t.tax().isPositive())
                .map(t -> new Document.Tax(t.rate().toString(), t.net(), t.tax()))
                .toList();
        store.insert(
                order.id(),
                new Document(
                        0, kind, order.number(), clock.instant(), order.locale(), catalogue.house().name(),
                        order.contact().inLines(), items, taxes, Money.sum(amounts), paid));
    }
}
