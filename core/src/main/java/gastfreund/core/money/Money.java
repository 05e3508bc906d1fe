package gastfreund.core.money;

/**
 * An amount in whole minor units of the house's one currency ({@code docs/money.md}). It may be negative where a
 * difference is meant; prices and payments are not.
 *
 * @param minor minor units, e.g. cents
 */
public record Money(long minor) implements Comparable<Money> {

    /** Nothing. */
    public static final Money ZERO = new Money(0);

    /** So many minor units. */
    public static Money ofMinor(long minor) {
        return minor == 0 ? ZERO : new Money(minor);
    }

    /** @throws ArithmeticException on overflow */
    public Money plus(Money other) {
        return ofMinor(Math.addExact(minor, other.minor));
    }

    /** @throws ArithmeticException on overflow */
    public Money minus(Money other) {
        return ofMinor(Math.subtractExact(minor, other.minor));
    }

    /** @throws ArithmeticException on overflow */
    public Money times(long factor) {
        return ofMinor(Math.multiplyExact(minor, factor));
    }

    /** The smaller of both. */
    public Money atMost(Money limit) {
        return compareTo(limit) <= 0 ? this : limit;
    }

    /** The larger of both. */
    public Money atLeast(Money limit) {
        return compareTo(limit) >= 0 ? this : limit;
    }

    /** This, or nothing where it is negative. */
    public Money notBelowZero() {
        return minor < 0 ? ZERO : this;
    }

    public boolean isZero() {
        return minor == 0;
    }

    public boolean isPositive() {
        return minor > 0;
    }

    /** The sum of amounts; nothing where there are none. */
    public static Money sum(Iterable<Money> amounts) {
        Money sum = ZERO;
        for (Money amount : amounts) {
            sum = sum.plus(amount);
        }
        return sum;
    }

    @Override
    public int compareTo(Money other) {
        return Long.compare(minor, other.minor);
    }
}
