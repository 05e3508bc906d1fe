package gastfreund.core.terms;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;

/** The ladder says at every second what a cancellation at that second keeps. */
class LadderTest {

    private static final Instant START = Instant.parse("2027-01-21T13:30:00Z");

    private static Keep keep(Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> new Keep.All();
            case 1 -> new Keep.Deposit();
            case 2 -> new Keep.Amount(Money.ofMinor(random.nextInt(4000)));
            default -> new Keep.Share(new Percent(BigDecimal.valueOf(random.nextInt(5) * 25L)));
        };
    }

    private static Terms terms(Random random) {
        TreeSet<Integer> hours = new TreeSet<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            hours.add(random.nextInt(3) == 0 ? 0 : random.nextInt(100));
        }
        return new Terms(
                hours.stream().map(h -> new Terms.Tier(h, keep(random))).toList(), OptionalInt.empty());
    }

    @Property(tries = 500, shrinking = ShrinkingMode.OFF)
    void everySecondIsOnTheStepThatSaysIt(@ForAll long seed) {
        Random random = new Random(seed);
        Terms terms = terms(random);
        Money total = Money.ofMinor(random.nextInt(8000));
        Money deposit = Money.ofMinor(random.nextInt(3000));
        Money floor = random.nextInt(3) == 0 ? Money.ofMinor(random.nextInt(3000)) : Money.ZERO;
        Instant from = START.minusSeconds(random.nextInt(120 * 3600) - 1800);
        List<Terms.Step> ladder = terms.ladder(total, deposit, floor, START, from);
        if (!from.isBefore(START)) {
            assertThat(ladder).isEmpty();
            return;
        }
        assertThat(ladder.get(ladder.size() - 1).until()).isEqualTo(START.minusSeconds(1));
        List<Instant> seconds = new ArrayList<>(List.of(from, START.minusSeconds(1)));
        ladder.forEach(s -> seconds.addAll(List.of(s.until(), s.until().plusSeconds(1))));
        for (int i = 0; i < 20; i++) {
            seconds.add(from.plusSeconds(
                    (long) (random.nextDouble() * Duration.between(from, START).toSeconds())));
        }
        for (Instant second : seconds) {
            if (second.isBefore(START)) {
                Money said = ladder.stream()
                        .filter(s -> !s.until().isBefore(second))
                        .findFirst()
                        .orElseThrow()
                        .keep();
                assertThat(said)
                        .as("%s at %s", terms, second)
                        .isEqualTo(terms.cancel(total, deposit, total, START, second, Terms.By.GUEST, floor)
                                .keep());
            }
        }
        for (int i = 1; i < ladder.size(); i++) {
            assertThat(ladder.get(i).until()).isAfter(ladder.get(i - 1).until());
            assertThat(ladder.get(i).keep()).isNotEqualTo(ladder.get(i - 1).keep());
        }
    }
}
