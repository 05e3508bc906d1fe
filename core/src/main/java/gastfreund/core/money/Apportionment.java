package gastfreund.core.money;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Divides an amount over parts so that nothing is lost ({@code docs/money.md}, step 7). */
public final class Apportionment {

    private Apportionment() {}

    /**
     * Divides {@code amount} in proportion to the weights: rounded down, the units left over one each to the parts with
     * the largest remainders, earlier parts first. The shares add up to the amount.
     *
     * @param amount not negative, at most the sum of the weights
     * @param weights not negative
     * @return one share for each weight; all nothing where the weights' sum is nothing
     * @throws IllegalArgumentException where the amount is negative or exceeds the sum of the weights
     */
    public static List<Money> divide(Money amount, List<Money> weights) {
        Money sum = Money.sum(weights);
        if (amount.minor() < 0 || amount.compareTo(sum) > 0) {
            throw new IllegalArgumentException("cannot divide " + amount + " over " + sum);
        }
        if (sum.isZero()) {
            return weights.stream().map(w -> Money.ZERO).toList();
        }
        BigInteger whole = BigInteger.valueOf(sum.minor());
        List<Money> shares = new ArrayList<>();
        List<BigInteger> remainders = new ArrayList<>();
        for (Money weight : weights) {
            BigInteger[] parts = BigInteger.valueOf(amount.minor())
                    .multiply(BigInteger.valueOf(weight.minor()))
                    .divideAndRemainder(whole);
            shares.add(Money.ofMinor(parts[0].longValueExact()));
            remainders.add(parts[1]);
        }
        long left = amount.minus(Money.sum(shares)).minor();
        IntStream.range(0, weights.size())
                .boxed()
                .sorted(Comparator.comparing(remainders::get).reversed())
                .limit(left)
                .forEach(i -> shares.set(i, shares.get(i).plus(Money.ofMinor(1))));
        return List.copyOf(shares);
    }
}
