package gastfreund.core.money;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;

/**
 * A percentage, exact: a whole number or a decimal. Two are equal where their numbers are ({@code 7} and {@code 7.0}).
 *
 * @param value without trailing zeros
 */
public record Percent(BigDecimal value) implements Comparable<Percent> {

    /** Nothing of anything. */
    public static final Percent ZERO = new Percent(BigDecimal.ZERO);

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    public Percent {
        value = value.signum() == 0 ? BigDecimal.ZERO : value.stripTrailingZeros();
    }

    /** @throws NumberFormatException where the text is no decimal number */
    public static Percent of(String decimal) {
        return new Percent(new BigDecimal(decimal));
    }

    /** A whole number of percent. */
    public static Percent of(long whole) {
        return new Percent(BigDecimal.valueOf(whole));
    }

    /** This percentage of an amount, rounded half up: a half goes away from zero ({@code docs/money.md}). */
    public Money of(Money amount) {
        return divide(BigDecimal.valueOf(amount.minor()).multiply(value), HUNDRED);
    }

    /** The part of a gross amount that is not tax at this rate: {@code round(total × 100 ÷ (100 + rate))}. */
    public Money netOf(Money gross) {
        return divide(BigDecimal.valueOf(gross.minor()).multiply(HUNDRED), HUNDRED.add(value));
    }

    private static Money divide(BigDecimal dividend, BigDecimal divisor) {
        BigInteger rounded = dividend.divide(divisor, 0, RoundingMode.HALF_UP).toBigInteger();
        return Money.ofMinor(rounded.longValueExact());
    }

    /** The number without trailing zeros: {@code 7}, {@code 12.5}, {@code 100}. */
    @Override
    public String toString() {
        return value.toPlainString();
    }

    @Override
    public int compareTo(Percent other) {
        return value.compareTo(other.value);
    }
}
