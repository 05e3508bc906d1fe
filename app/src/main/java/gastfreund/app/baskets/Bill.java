package gastfreund.app.baskets;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Rung;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.orders.Quote;
import gastfreund.core.orders.Settlement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * All that a basket costs: its bookings, the vouchers and passes it buys, and what vouchers and passes pay of it.
 *
 * @param covers for each line of the quote the pass that pays for its units; null where none does
 * @param vouchers those that the settlement speaks of, in its order
 * @param entered everything that was entered, with what it does here
 * @param taxes of bookings and goods together
 */
public record Bill(
        Quote quote,
        List<Goods> goods,
        List<Prepaid> covers,
        List<Prepaid> vouchers,
        Settlement settlement,
        List<Entered> entered,
        List<ContainedTax> taxes) {

    /**
     * A voucher or a pass that was entered.
     *
     * @param money what a voucher pays here
     * @param visits what a pass pays here
     */
    public record Entered(Prepaid prepaid, Money money, int visits) {

        public boolean isUsed() {
            return money.isPositive() || visits > 0;
        }
    }

    /** A part of the balance. */
    public record Later(LocalDate due, Money amount) {}

    public Money goodsTotal() {
        return Money.sum(goods.stream().map(Goods::price).toList());
    }

    /** What everything costs, less the discount and what passes pay for. */
    public Money total() {
        return quote.total().plus(goodsTotal());
    }

    /** What all lines cost before the discount. */
    public Money subtotal() {
        return quote.subtotal().plus(goodsTotal());
    }

    /** What is due with the order, by whatever it is paid. */
    public Money due() {
        return quote.dueNow().plus(goodsTotal());
    }

    /** What is left to pay with the order when the vouchers are used. */
    public Money dueNow() {
        return due().minus(settlement.now());
    }

    /** What a guest is shown of it, in a word: two bills that differ in it are told apart before anything is ordered. */
    public String mark() {
        return total().minor() + "-" + dueNow().minor();
    }

    /** What is left of a line's due when the vouchers are used. */
    public Money dueNow(int line) {
        return quote.lines().get(line).dueNow().minus(settlement.now(line));
    }

    /** What is left to pay later, by date. */
    public List<Later> later() {
        Map<LocalDate, Money> byDate = new TreeMap<>();
        for (int i = 0; i < quote.lines().size(); i++) {
            Money left = quote.lines().get(i).balance().minus(settlement.later(i));
            if (left.isPositive()) {
                byDate.merge(quote.lines().get(i).balanceDue(), left, Money::plus);
            }
        }
        List<Later> later = new ArrayList<>();
        byDate.forEach((due, amount) -> later.add(new Later(due, amount)));
        return later;
    }

    /** What it comes to, from the lines down to what is due and when. */
    public List<Rung> rungs(Formats f) {
        List<Rung> rungs = new ArrayList<>();
        if (quote.discount().isPositive()) {
            rungs.add(Rung.of(f.text("ladder.subtotal"), f.money(subtotal())));
            rungs.add(Rung.of(f.text("ladder.discount"), "−" + f.money(quote.discount())));
        }
        rungs.add(Rung.of(f.text("ladder.total"), f.money(total()), Rung.Look.TOTAL));
        taxes.stream()
                .filter(t -> t.tax().isPositive())
                .forEach(t -> rungs.add(Rung.of(f.text("ladder.tax", t.rate()), f.money(t.tax()), Rung.Look.SMALL)));
        entered.stream()
                .filter(e -> e.money().isPositive())
                .forEach(e ->
                        rungs.add(Rung.of(f.text("ladder.voucher", e.prepaid().masked()), "−" + f.money(e.money()))));
        rungs.add(Rung.of(f.text("ladder.dueNow"), f.money(dueNow()), Rung.Look.DUE_BELOW));
        later().forEach(l -> rungs.add(Rung.of(f.text("ladder.dueOn", f.shortDay(l.due())), f.money(l.amount()))));
        return List.copyOf(rungs);
    }
}
