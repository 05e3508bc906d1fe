package gastfreund.core.orders;

import gastfreund.core.money.Apportionment;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Payment;
import gastfreund.core.time.HouseZone;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What a basket costs and when it is due ({@code docs/money.md}, steps 6 to 11). Its parts always add up: lines to the
 * subtotal, line totals to the total, net and tax to the total, due now and balance to the total.
 */
public record Quote(
        List<QuotedLine> lines,
        Money subtotal,
        Money discount,
        PromoCode.Outcome promo,
        Money total,
        List<ContainedTax> taxes,
        Money dueNow,
        Money balance) {

    /** When the guest pays a line whose offer leaves the choice. */
    public enum Pay {
        NOW,
        VENUE
    }

    /**
     * A line to be quoted.
     *
     * @param covered whether a pass pays for its units, so that only its add-ons are left
     */
    public record Asked(Line line, Pay pay, boolean covered) {

        /** A line for which no pass pays. */
        public Asked(Line line, Pay pay) {
            this(line, pay, false);
        }

        private Money amount() {
            return covered ? line.price().addOns() : line.price().amount();
        }
    }

    /**
     * A line with its ladder.
     *
     * @param amount the line's amount, less what a pass pays for
     * @param deposit what was asked as deposit; nothing where there is none
     * @param balanceDue when the balance falls due; null where there is none
     */
    public record QuotedLine(
            Line.Price price,
            Money amount,
            Money discount,
            Money total,
            Money deposit,
            Money dueNow,
            Money balance,
            @Nullable LocalDate balanceDue) {

        /** What a pass pays for. */
        public Money covered() {
            return price.amount().minus(amount);
        }
    }

    /**
     * The quote of a basket without a promo code.
     *
     * @param now the instant of placing the order
     */
    public static Quote of(List<Asked> basket, Instant now, HouseZone zone) {
        return of(basket, now, zone, "", Map.of());
    }

    /**
     * The quote of a basket.
     *
     * @param code as the guest wrote it; blank is none
     * @param codes the house's codes by {@link PromoCode#normal}
     */
    public static Quote of(List<Asked> basket, Instant now, HouseZone zone, String code, Map<String, PromoCode> codes) {
        List<Line.Price> prices = basket.stream().map(a -> a.line().price()).toList();
        List<Money> amounts = basket.stream().map(Asked::amount).toList();
        Discounts discounts = Discounts.of(basket, amounts, now, PromoCode.normal(code), codes);
        List<QuotedLine> lines = new ArrayList<>();
        for (int i = 0; i < basket.size(); i++) {
            lines.add(quoted(
                    basket.get(i),
                    prices.get(i),
                    amounts.get(i),
                    discounts.ofLines().get(i),
                    now,
                    zone));
        }
        List<Money> totals = lines.stream().map(QuotedLine::total).toList();
        return new Quote(
                List.copyOf(lines),
                Money.sum(amounts),
                Money.sum(discounts.ofLines()),
                discounts.outcome(),
                Money.sum(totals),
                ContainedTax.of(
                        basket.stream().map(a -> a.line().offer().taxRate()).toList(), totals),
                Money.sum(lines.stream().map(QuotedLine::dueNow).toList()),
                Money.sum(lines.stream().map(QuotedLine::balance).toList()));
    }

    private static QuotedLine quoted(
            Asked asked, Line.Price price, Money amount, Money discount, Instant now, HouseZone zone) {
        Payment payment = asked.line().offer().payment();
        Money total = amount.minus(discount);
        Money deposit =
                payment.deposit() == null ? Money.ZERO : payment.deposit().of(total);
        Money dueNow =
                switch (payment.when()) {
                    case FULL -> total;
                    case DEPOSIT -> deposit;
                    case VENUE -> Money.ZERO;
                    case CHOICE -> asked.pay() == Pay.NOW ? total : Money.ZERO;
                };
        LocalDate startDate = zone.dateOf(asked.line().start());
        LocalDate due = startDate.minusDays(payment.balanceDaysBefore().orElse(0));
        if (payment.balanceDaysBefore().isPresent() && !due.isAfter(zone.dateOf(now))) {
            dueNow = total;
        }
        Money balance = total.minus(dueNow);
        return new QuotedLine(price, amount, discount, total, deposit, dueNow, balance, balance.isZero() ? null : due);
    }

    /** Step 7. */
    private record Discounts(PromoCode.Outcome outcome, List<Money> ofLines) {

        static Discounts of(
                List<Asked> basket, List<Money> amounts, Instant now, String code, Map<String, PromoCode> codes) {
            List<Money> none = amounts.stream().map(a -> Money.ZERO).toList();
            if (code.isEmpty()) {
                return new Discounts(PromoCode.Outcome.NONE, none);
            }
            PromoCode promo = codes.get(code);
            if (promo == null) {
                return new Discounts(PromoCode.Outcome.UNKNOWN, none);
            }
            boolean[] eligible = new boolean[basket.size()];
            boolean any = false;
            for (int i = 0; i < eligible.length; i++) {
                eligible[i] = promo.isFor(basket.get(i).line().offer().id());
                any |= eligible[i];
            }
            List<Money> weights = IntStream.range(0, eligible.length)
                    .mapToObj(i -> eligible[i] ? amounts.get(i) : Money.ZERO)
                    .toList();
            PromoCode.Outcome outcome = promo.judge(now, any, Money.sum(weights));
            if (outcome != PromoCode.Outcome.APPLIED) {
                return new Discounts(outcome, none);
            }
            return new Discounts(outcome, discounts(promo.worth(), weights));
        }

        private static List<Money> discounts(PromoCode.Worth worth, List<Money> weights) {
            if (worth instanceof PromoCode.Worth.Share share) {
                return weights.stream().map(share.percent()::of).toList();
            }
            Money amount = ((PromoCode.Worth.Amount) worth).amount();
            return Apportionment.divide(amount.atMost(Money.sum(weights)), weights);
        }
    }
}
