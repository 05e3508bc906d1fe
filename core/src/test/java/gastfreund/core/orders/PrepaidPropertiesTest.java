package gastfreund.core.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What holds for vouchers and passes, whatever they pay. */
class PrepaidPropertiesTest {

    private final QuotePropertiesTest quotes = new QuotePropertiesTest();

    private static List<Money> rests(Random random) {
        List<Money> rests = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            rests.add(Money.ofMinor(random.nextInt(15_000)));
        }
        return rests;
    }

    @Property
    void aSettlementNeverPaysMoreThanIsOwedOrLeft(@ForAll long seed) {
        Quote quote = quotes.quote(seed);
        List<Money> rests = rests(new Random(~seed));
        Settlement settlement = Settlement.of(quote.lines(), rests);
        Money given = Money.ZERO;
        for (int i = 0; i < rests.size(); i++) {
            assertThat(settlement.of(i)).isLessThanOrEqualTo(rests.get(i));
            given = given.plus(settlement.of(i));
        }
        Money taken = Money.ZERO;
        for (int i = 0; i < quote.lines().size(); i++) {
            assertThat(settlement.now(i))
                    .isLessThanOrEqualTo(quote.lines().get(i).dueNow());
            assertThat(settlement.later(i))
                    .isLessThanOrEqualTo(quote.lines().get(i).balance());
            taken = taken.plus(settlement.now(i)).plus(settlement.later(i));
        }
        assertThat(given).isEqualTo(taken).isEqualTo(settlement.total());
        assertThat(settlement.total()).isEqualTo(quote.total().atMost(Money.sum(rests)));
    }

    @Property
    void whatIsDueNowIsPaidBeforeAnyBalance(@ForAll long seed) {
        Quote quote = quotes.quote(seed);
        Settlement settlement = Settlement.of(quote.lines(), rests(new Random(~seed)));
        boolean anyLater = settlement.parts().stream().anyMatch(p -> p.later().isPositive());
        assertThat(!anyLater || settlement.now().equals(quote.dueNow())).isTrue();
        assertThat(settlement.parts()).allMatch(p -> p.now().plus(p.later()).isPositive());
    }

    @Property
    void aPassNeverGivesMoreVisitsThanItHas(@ForAll long seed) {
        List<Line> lines = quotes.lines(seed);
        Random random = new Random(~seed);
        List<Pass> passes = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            Set<OfferId> offers = Set.of(new OfferId("o" + random.nextInt(4)), new OfferId("o9"));
            passes.add(new Pass(random.nextInt(12), offers, LocalDate.of(2027, 1, 12 + random.nextInt(9))));
        }
        List<OptionalInt> covers = Pass.cover(lines, passes);
        for (int i = 0; i < passes.size(); i++) {
            Pass pass = passes.get(i);
            int used = 0;
            for (int j = 0; j < lines.size(); j++) {
                if (covers.get(j).equals(OptionalInt.of(i))) {
                    used += Pass.visitsOf(lines.get(j));
                    assertThat(pass.offers()).contains(lines.get(j).offer().id());
                    assertThat(lines.get(j).zone().dateOf(lines.get(j).start())).isBeforeOrEqualTo(pass.lastDay());
                }
            }
            assertThat(used).isLessThanOrEqualTo(pass.visits());
        }
    }

    @Property
    void aCoveredLineCostsItsAddOnsAlone(@ForAll long seed) {
        Quote before = quotes.quote(seed);
        Quote after = quotes.covered();
        for (int i = 0; i < before.lines().size(); i++) {
            Quote.QuotedLine line = after.lines().get(i);
            assertThat(line.amount()).isEqualTo(line.price().addOns());
            assertThat(line.covered()).isEqualTo(line.price().adjusted());
            assertThat(before.lines().get(i).covered()).isEqualTo(Money.ZERO);
            assertThat(line.dueNow().plus(line.balance())).isEqualTo(line.total());
        }
        assertThat(after.total()).isLessThanOrEqualTo(before.subtotal());
    }

    @Example
    void theFirstPassThatCanPayAllOfABookingDoes() {
        Line line = quotes.lines(7).get(0);
        int needed = Pass.visitsOf(line);
        Set<OfferId> offers = Set.of(line.offer().id());
        LocalDate day = line.zone().dateOf(line.start());
        Pass few = new Pass(needed - 1, offers, day);
        Pass enough = new Pass(needed, offers, day);
        Pass over = new Pass(99, offers, day.minusDays(1));
        assertThat(Pass.cover(List.of(line, line), List.of(over, few, enough)))
                .containsExactly(OptionalInt.of(2), OptionalInt.empty());
    }
}
