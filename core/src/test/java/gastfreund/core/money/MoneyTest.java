package gastfreund.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class MoneyTest {

    private static Money minor(long minor) {
        return Money.ofMinor(minor);
    }

    @Test
    void aHalfIsRoundedAwayFromZero() {
        assertThat(Percent.of("12.5").of(minor(100))).isEqualTo(minor(13));
        assertThat(Percent.of("-12.5").of(minor(100))).isEqualTo(minor(-13));
        assertThat(Percent.of(-15).of(minor(3210))).isEqualTo(minor(-482));
    }

    @Test
    void percentagesAreComparedAsNumbersAndPrintedWithoutTrailingZeros() {
        assertThat(Percent.of("7.0")).isEqualTo(Percent.of(7)).hasToString("7");
        assertThat(Percent.of("0.00")).isEqualTo(Percent.ZERO).hasToString("0");
        assertThat(Percent.of(100)).hasToString("100");
    }

    @Test
    void unitsLeftOverGoToTheLargestRemaindersEarlierFirst() {
        assertThat(Apportionment.divide(minor(2000), List.of(minor(2600), minor(3000), minor(1800))))
                .containsExactly(minor(703), minor(811), minor(486));
        assertThat(Apportionment.divide(minor(2), List.of(minor(1), minor(1), minor(1))))
                .containsExactly(minor(1), minor(1), minor(0));
    }

    @Test
    void moreThanTheWholeCannotBeDivided() {
        assertThatThrownBy(() -> Apportionment.divide(minor(3), List.of(minor(1), minor(1))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Property
    void sharesAddUpAndNeverExceedTheirLines(
            @ForAll @Size(min = 1, max = 12) List<@LongRange(min = 0, max = 1_000_000) Long> weights,
            @ForAll @IntRange(min = 0, max = 100) int percent) {
        List<Money> lines = weights.stream().map(Money::ofMinor).toList();
        Money amount = Percent.of(percent).of(Money.sum(lines)).atMost(Money.sum(lines));
        List<Money> shares = Apportionment.divide(amount, lines);
        assertThat(Money.sum(shares)).isEqualTo(amount);
        for (int i = 0; i < lines.size(); i++) {
            assertThat(shares.get(i)).isBetween(Money.ZERO, lines.get(i));
        }
    }

    @Property
    void netAndTaxAddUp(
            @ForAll @LongRange(min = 0, max = 10_000_000) long total, @ForAll @IntRange(min = 0, max = 30) int rate) {
        ContainedTax tax = ContainedTax.of(List.of(Percent.of(rate)), List.of(minor(total)))
                .get(0);
        assertThat(tax.net().plus(tax.tax())).isEqualTo(minor(total));
        assertThat(tax.tax()).isBetween(Money.ZERO, minor(total));
    }
}
