package gastfreund.core.orders;

import gastfreund.core.money.Money;
import java.util.ArrayList;
import java.util.List;

/**
 * How prepaid money pays a quote ({@code docs/money.md}, "Vouchers and passes"): the vouchers one after the other, first
 * what is due now of each line, then the balances, earlier lines first.
 */
public record Settlement(List<Part> parts) {

    /**
     * What one voucher pays of one line.
     *
     * @param voucher its index
     * @param line the line's index
     * @param now of what is due now
     * @param later of the balance
     */
    public record Part(int voucher, int line, Money now, Money later) {}

    public Settlement {
        parts = List.copyOf(parts);
    }

    /** @param rests what is left of each voucher */
    public static Settlement of(List<Quote.QuotedLine> lines, List<Money> rests) {
        List<Money> now =
                new ArrayList<>(lines.stream().map(Quote.QuotedLine::dueNow).toList());
        List<Money> later =
                new ArrayList<>(lines.stream().map(Quote.QuotedLine::balance).toList());
        List<Part> parts = new ArrayList<>();
        for (int voucher = 0; voucher < rests.size(); voucher++) {
            Money rest = rests.get(voucher);
            List<Money> paidNow = new ArrayList<>();
            for (int line = 0; line < lines.size(); line++) {
                rest = rest.minus(take(now, line, rest, paidNow));
            }
            List<Money> paidLater = new ArrayList<>();
            for (int line = 0; line < lines.size(); line++) {
                rest = rest.minus(take(later, line, rest, paidLater));
                if (paidNow.get(line).plus(paidLater.get(line)).isPositive()) {
                    parts.add(new Part(voucher, line, paidNow.get(line), paidLater.get(line)));
                }
            }
        }
        return new Settlement(parts);
    }

    private static Money take(List<Money> open, int line, Money rest, List<Money> paid) {
        Money part = open.get(line).atMost(rest);
        open.set(line, open.get(line).minus(part));
        paid.add(part);
        return part;
    }

    /** What vouchers pay of what is due now of a line. */
    public Money now(int line) {
        return Money.sum(
                parts.stream().filter(p -> p.line() == line).map(Part::now).toList());
    }

    /** What vouchers pay of a line's balance. */
    public Money later(int line) {
        return Money.sum(
                parts.stream().filter(p -> p.line() == line).map(Part::later).toList());
    }

    /** What vouchers pay of all that is due now. */
    public Money now() {
        return Money.sum(parts.stream().map(Part::now).toList());
    }

    /** What one voucher pays. */
    public Money of(int voucher) {
        return Money.sum(parts.stream()
                .filter(p -> p.voucher() == voucher)
                .map(p -> p.now().plus(p.later()))
                .toList());
    }

    /** What all vouchers pay. */
    public Money total() {
        return Money.sum(parts.stream().map(p -> p.now().plus(p.later())).toList());
    }
}
