package gastfreund.app.adviser;

import gastfreund.core.money.Money;
import java.time.Instant;
import java.time.YearMonth;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What happened in a month by the house's clock.
 *
 * @param documents receipts and credit notes, by number
 * @param taxes what they come to at each rate
 * @param payments what came in and went out again, by way
 * @param vouchers vouchers and passes that were sold, and what was used of them
 */
record Month(YearMonth month, List<Issued> documents, List<Rate> taxes, List<Paid> payments, Vouchers vouchers) {

    /**
     * A receipt or a credit note; amounts of a credit note are negative.
     *
     * @param order the number of its order
     * @param untaxed what of its total contains no tax
     */
    record Issued(long number, String kind, Instant at, long order, List<Rate> taxes, Money untaxed, Money total) {}

    /** Amounts at a rate of tax. */
    record Rate(String rate, Money net, Money tax) {

        Money gross() {
            return net.plus(tax);
        }
    }

    /** Money that came by a way, and that went back by it. */
    record Paid(String way, int payments, Money in, Money out) {}

    /**
     * Vouchers and passes; what is used of passes is visits.
     *
     * @param sold what the vouchers are worth that were issued
     * @param used what was paid with vouchers, less what went back to them
     * @param passes how many passes were issued
     * @param visits how many visits were used, less those given back
     */
    record Vouchers(int issued, Money sold, Money used, int passes, long visits) {}

    /** What documents come to at each rate, the lowest first. */
    static List<Rate> sums(List<Issued> documents) {
        return documents.stream()
                .flatMap(d -> d.taxes().stream())
                .collect(Collectors.groupingBy(
                        Rate::rate,
                        () -> new TreeMap<>(Comparator.comparingDouble(Double::parseDouble)),
                        Collectors.toList()))
                .entrySet()
                .stream()
                .map(e -> new Rate(
                        e.getKey(),
                        Money.sum(e.getValue().stream().map(Rate::net).toList()),
                        Money.sum(e.getValue().stream().map(Rate::tax).toList())))
                .toList();
    }

    /** What all documents come to. */
    Money total() {
        return Money.sum(documents.stream().map(Issued::total).toList());
    }

    /** What of it contains no tax. */
    Money untaxed() {
        return Money.sum(documents.stream().map(Issued::untaxed).toList());
    }
}
