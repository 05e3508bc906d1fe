package gastfreund.app.openings;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What cancelling would cost a guest, from now on until the start.
 *
 * @param steps in the order of time; empty: nothing can be cancelled any more
 */
public record CancelLadder(List<Step> steps) {

    /**
     * A stretch of time in which cancelling costs the same.
     *
     * @param until its end, in words
     * @param words what is kept and what comes back
     * @param kept how much of the price is kept, in hundredths
     */
    public record Step(String until, String words, int kept) {}

    /**
     * What is cancelled.
     *
     * @param floor what earlier moves keep at least
     * @param paid what is paid by now, or with the order
     * @param rest what is paid later; null: nothing is
     */
    public record Of(
            Terms terms, Money total, Money deposit, Money floor, Money paid, @Nullable Rest rest, Instant start) {

        private Money paidAt(Instant at) {
            return rest == null || at.isBefore(rest.from()) ? paid : paid.plus(rest.amount());
        }
    }

    /** @param from when it will have been paid */
    public record Rest(Instant from, Money amount) {}

    /** When a day begins on which something is to be paid. */
    public static Instant begins(LocalDate date, HouseZone zone) {
        return Interval.instantOf(zone.startOf(date));
    }

    public static CancelLadder of(Of of, Instant now, Formats f) {
        Rest rest = of.rest();
        List<Step> steps = new ArrayList<>();
        Instant before = now;
        for (Terms.Step step : of.terms().ladder(of.total(), of.deposit(), of.floor(), of.start(), now)) {
            // A step in which something is paid is two.
            if (rest != null && rest.from().isAfter(before) && !rest.from().isAfter(step.until())) {
                steps.add(step(of, new Terms.Step(rest.from().minusSeconds(1), step.keep()), f));
            }
            steps.add(step(of, step, f));
            before = step.until();
        }
        return new CancelLadder(List.copyOf(steps));
    }

    private static Step step(Of of, Terms.Step step, Formats f) {
        boolean toTheStart = step.until().equals(of.start().minusSeconds(1));
        Money paid = of.paidAt(step.until());
        Money back = paid.minus(step.keep()).notBelowZero();
        Money kept = paid.minus(back);
        String words = kept.isZero()
                ? f.text("cancelling.free", f.money(back))
                : back.isZero()
                        ? f.text("cancelling.all", f.money(kept))
                        : f.text("cancelling.part", f.money(kept), f.money(back));
        int share = of.total().isZero()
                ? 0
                : (int) Math.min(100, kept.minor() * 100 / of.total().minor());
        return new Step(
                toTheStart
                        ? f.text("cancelling.untilStart", f.moment(of.start()))
                        : f.text("cancelling.until", f.moment(step.until())),
                paid.isZero() ? f.text("cancelling.nothingPaid") : words,
                share);
    }
}
