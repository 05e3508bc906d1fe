package gastfreund.core.money;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The tax that prices of one rate contain ({@code docs/money.md}, step 9).
 *
 * @param rate the rate
 * @param net what is not tax
 * @param tax the tax; both add up to the sum of the totals
 */
public record ContainedTax(Percent rate, Money net, Money tax) {

    /**
     * The tax contained in totals, one entry for each rate, rates ascending.
     *
     * @param rates one for each total
     */
    public static List<ContainedTax> of(List<Percent> rates, List<Money> totals) {
        Map<Percent, Money> sums = new TreeMap<>();
        for (int i = 0; i < totals.size(); i++) {
            sums.merge(rates.get(i), totals.get(i), Money::plus);
        }
        List<ContainedTax> taxes = new ArrayList<>();
        sums.forEach((rate, total) -> {
            Money net = rate.netOf(total);
            taxes.add(new ContainedTax(rate, net, total.minus(net)));
        });
        return List.copyOf(taxes);
    }
}
