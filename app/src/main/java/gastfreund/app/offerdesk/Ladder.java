package gastfreund.app.offerdesk;

import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Spans;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Payment;
import gastfreund.core.terms.Terms;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is kept of a booking that its guest cancels, drawn over the time before it starts: the later, the higher.
 *
 * @param steps from long before to the start
 */
public record Ladder(List<Step> steps) {

    private static final int WIDTH = 700;
    private static final int HEIGHT = 60;

    /**
     * A stretch in which the same is kept.
     *
     * @param tier its place in the offer, where it can be moved; -1: it is what is left after all of them
     * @param hours how many before the start it ends
     * @param words what is kept
     * @param until when it ends: {@code 2 days before}
     */
    public record Step(int tier, int hours, int x, int width, int height, String words, String until) {}

    static Ladder of(Offer offer, Formats f) {
        Money total = offer.lengths().get(0).price();
        Payment.Deposit asked = offer.payment().deposit();
        Money deposit = asked == null ? Money.ZERO : asked.of(total);
        List<Terms.Tier> tiers = offer.terms().tiers();
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < tiers.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingInt((Integer i) -> tiers.get(i).hoursBefore())
                .reversed());
        boolean toTheStart =
                !order.isEmpty() && tiers.get(order.get(order.size() - 1)).hoursBefore() == 0;
        int count = toTheStart ? order.size() : order.size() + 1;
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int x = WIDTH * i / count;
            int tier = i < order.size() ? order.get(i) : -1;
            // Whoever cancels later than the last tier says loses everything; without tiers, nothing.
            Money kept = tier < 0
                    ? tiers.isEmpty() ? Money.ZERO : total
                    : tiers.get(tier).keep().of(total, deposit);
            int hours = tier < 0 ? 0 : tiers.get(tier).hoursBefore();
            steps.add(new Step(
                    tier,
                    hours,
                    x,
                    WIDTH * (i + 1) / count - x,
                    total.isZero() ? 0 : (int) (kept.minor() * HEIGHT / total.minor()),
                    words(kept, total, f),
                    hours == 0 ? f.text("offers.start") : f.text("offers.before", Spans.said(hours * 60L, f))));
        }
        return new Ladder(List.copyOf(steps));
    }

    private static String words(Money kept, Money total, Formats f) {
        if (kept.isZero()) {
            return f.text("keep.nothing");
        }
        return kept.equals(total) ? f.text("keep.all") : f.text("offers.keepOf", f.money(kept), f.money(total));
    }
}
