package gastfreund.core.offers;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** The steps by which a price comes about lead to that price, and each follows from the one before. */
class LineStepsTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final Instant NOW = Instant.parse("2027-01-12T08:00:00Z");

    private static PriceRule rule(Random random) {
        PriceRule.Change change =
                switch (random.nextInt(3)) {
                    case 0 -> new PriceRule.Change.Share(Percent.of(random.nextInt(161) - 80L));
                    case 1 -> new PriceRule.Change.Add(Money.ofMinor(random.nextInt(8000) - 4000));
                    default -> new PriceRule.Change.Set(Money.ofMinor(random.nextInt(9000)));
                };
        int from = random.nextInt(1440);
        return new PriceRule(
                change,
                random.nextBoolean() ? OptionalInt.of(from) : OptionalInt.empty(),
                random.nextBoolean() ? OptionalInt.of(random.nextInt(1440)) : OptionalInt.empty(),
                Set.of(),
                null,
                null,
                PriceRule.Range.any(),
                PriceRule.Range.any(),
                Set.of(),
                Set.of(),
                Set.of());
    }

    @Property(tries = 500)
    void theLastStepIsThePriceAndEachChangesTheOneBefore(@ForAll long seed) {
        Random random = new Random(seed);
        List<PriceRule> rules = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            rules.add(rule(random));
        }
        Length length = Length.of("l", 60, random.nextInt(9000));
        Offer offer = new Offer(
                new OfferId("o"),
                "O",
                List.of(length),
                Offer.Basis.BOOKING,
                Starts.usual(),
                null,
                Minutes.ZERO,
                Minutes.ZERO,
                Sharing.none(),
                new Party(1, 4),
                Serving.nobody(),
                List.of(),
                List.of(),
                null,
                Bounds.none(),
                Offer.Confirm.INSTANT,
                false,
                List.of(),
                rules,
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
        long start = ZONE.startOf(ZONE.dateOf(NOW)) + random.nextInt(1440);
        Line line = new Line(offer, length, 1, 1, Map.of(), start, List.of(), null, NOW, ZONE);
        List<Line.Step> steps = line.steps();
        Money running = line.unit();
        int before = -1;
        for (Line.Step step : steps) {
            assertThat(step.rule()).isGreaterThan(before);
            running = rules.get(step.rule()).change().of(running).notBelowZero();
            assertThat(step.after()).isEqualTo(running);
            before = step.rule();
        }
        assertThat(line.price().adjusted()).isEqualTo(running);
    }
}
