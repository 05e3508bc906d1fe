package gastfreund.app.documents;

import gastfreund.core.money.Money;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A document as EN 16931 sees one: amounts without tax by line, so that those of a rate add up to what the document says, and
 * the tax of each rate.
 *
 * @param lines by rate, and in the document's order
 * @param rates of which lines are, in the order in which they first come
 */
record Invoice(List<Line> lines, List<Rate> rates) {

    /** Something that is sold, without its tax. */
    record Line(String title, String when, Money net, String rate) {}

    /** What is sold at a rate. */
    record Rate(String rate, Money net, Money tax) {

        boolean isTaxed() {
            return !tax.isZero();
        }
    }

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /** Empty where it was issued before each item's rate was kept, and has several: nobody knows then which is which. */
    static Optional<Invoice> of(Document document) {
        Map<String, List<Document.Item>> byRate = new LinkedHashMap<>();
        boolean one = document.taxes().size() == 1
                && document.total()
                        .equals(document.taxes()
                                .get(0)
                                .net()
                                .plus(document.taxes().get(0).tax()));
        for (Document.Item item : document.items()) {
            String rate = !item.rate().isEmpty()
                    ? item.rate()
                    : one ? document.taxes().get(0).rate() : document.taxes().isEmpty() ? "0" : "";
            if (rate.isEmpty()) {
                return Optional.empty();
            }
            byRate.computeIfAbsent(rate, r -> new ArrayList<>()).add(item);
        }
        Map<Document.Item, Money> nets = new IdentityHashMap<>();
        List<Rate> rates = new ArrayList<>();
        byRate.forEach((rate, items) -> {
            Money gross = Money.sum(items.stream().map(Document.Item::amount).toList());
            Money tax = document.taxes().stream()
                    .filter(t -> t.rate().equals(rate))
                    .map(Document.Tax::tax)
                    .findFirst()
                    .orElse(Money.ZERO);
            rates.add(new Rate(rate, gross.minus(tax), tax));
            Money left = gross.minus(tax);
            for (int i = 0; i < items.size(); i++) {
                Money net = i == items.size() - 1 ? left : net(items.get(i).amount(), tax.isZero() ? "0" : rate);
                nets.put(items.get(i), net);
                left = left.minus(net);
            }
        });
        List<Line> lines = new ArrayList<>();
        byRate.forEach((rate, items) ->
                items.forEach(i -> lines.add(new Line(i.title(), i.when(), nets.getOrDefault(i, Money.ZERO), rate))));
        return Optional.of(new Invoice(List.copyOf(lines), List.copyOf(rates)));
    }

    /** What is left of an amount without the tax that it contains, to the nearest cent. */
    private static Money net(Money gross, String rate) {
        return Money.ofMinor(BigDecimal.valueOf(gross.minor())
                .multiply(HUNDRED)
                .divide(HUNDRED.add(new BigDecimal(rate)), 0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    Money net() {
        return Money.sum(rates.stream().map(Rate::net).toList());
    }

    Money tax() {
        return Money.sum(rates.stream().map(Rate::tax).toList());
    }
}
