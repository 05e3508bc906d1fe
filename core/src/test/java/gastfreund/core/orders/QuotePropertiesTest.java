package gastfreund.core.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.Starts;
import gastfreund.core.terms.Keep;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Minutes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;

/** What holds for every basket and every cancellation, whatever the prices. */
class QuotePropertiesTest {

    private static final HouseZone ZONE = HouseZone.of("Europe/Berlin");
    private static final Instant NOW = Instant.parse("2027-01-12T08:00:00Z");
    private static final List<String> RATES = List.of("0", "7", "19", "5.5");

    private final List<Quote.Asked> basket = new ArrayList<>();
    private PromoCode promo;

    Quote quote(long seed) {
        Random random = new Random(seed);
        basket.clear();
        int lines = 1 + random.nextInt(6);
        for (int i = 0; i < lines; i++) {
            Offer offer = offer(random);
            int units = 1 + random.nextInt(3);
            long start = ZONE.startOf(ZONE.dateOf(NOW).plusDays(random.nextInt(9))) + random.nextInt(1440);
            Line line = new Line(
                    offer,
                    offer.lengths().get(0),
                    units,
                    1 + random.nextInt(4),
                    Map.of(),
                    start,
                    List.of(),
                    null,
                    NOW,
                    ZONE);
            basket.add(new Quote.Asked(line, random.nextBoolean() ? Quote.Pay.NOW : Quote.Pay.VENUE));
        }
        PromoCode.Worth worth = random.nextBoolean()
                ? new PromoCode.Worth.Share(
                        Percent.of(List.of("10", "33.3", "100").get(random.nextInt(3))))
                : new PromoCode.Worth.Amount(Money.ofMinor(random.nextInt(20_000)));
        Set<OfferId> offers = random.nextBoolean() ? Set.of() : Set.of(new OfferId("o" + random.nextInt(4)));
        promo = new PromoCode(
                "code", worth, offers, null, null, Money.ofMinor(random.nextInt(3000)), OptionalInt.empty(), 0);
        return Quote.of(basket, NOW, ZONE, "code", Map.of(PromoCode.normal("code"), promo));
    }

    /** The lines of the quote of a seed. */
    List<Line> lines(long seed) {
        quote(seed);
        return basket.stream().map(Quote.Asked::line).toList();
    }

    /** The last quote as it would be if passes paid for every line. */
    Quote covered() {
        List<Quote.Asked> covered = basket.stream()
                .map(a -> new Quote.Asked(a.line(), a.pay(), true))
                .toList();
        return Quote.of(covered, NOW, ZONE, "code", Map.of(PromoCode.normal("code"), promo));
    }

    private static Offer offer(Random random) {
        Payment payment =
                switch (random.nextInt(5)) {
                    case 0 -> Payment.full();
                    case 1 -> new Payment(Payment.When.VENUE, null, OptionalInt.empty());
                    case 2 -> new Payment(Payment.When.CHOICE, null, OptionalInt.empty());
                    case 3 -> new Payment(
                            Payment.When.DEPOSIT,
                            new Payment.Deposit.Share(Percent.of("12.5")),
                            random.nextBoolean() ? OptionalInt.of(random.nextInt(5)) : OptionalInt.empty());
                    default -> new Payment(
                            Payment.When.DEPOSIT,
                            new Payment.Deposit.Amount(Money.ofMinor(random.nextInt(9000))),
                            OptionalInt.of(2));
                };
        return new Offer(
                new OfferId("o" + random.nextInt(4)),
                "Offer",
                List.of(new Length(
                        new gastfreund.core.offers.LengthId("l"),
                        Minutes.of(60),
                        Money.ofMinor(random.nextInt(9999)),
                        1,
                        3)),
                random.nextBoolean() ? Offer.Basis.PERSON : Offer.Basis.BOOKING,
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
                List.of(),
                payment,
                Terms.none(),
                Percent.of(RATES.get(random.nextInt(RATES.size()))));
    }

    @Property(tries = 2000)
    void thePartsAlwaysAddUpToTheWhole(@ForAll long seed) {
        Quote quote = quote(seed);
        assertThat(Money.sum(quote.lines().stream().map(l -> l.price().amount()).toList()))
                .isEqualTo(quote.subtotal());
        assertThat(Money.sum(
                        quote.lines().stream().map(Quote.QuotedLine::discount).toList()))
                .isEqualTo(quote.discount());
        assertThat(quote.subtotal().minus(quote.discount())).isEqualTo(quote.total());
        assertThat(Money.sum(quote.lines().stream().map(Quote.QuotedLine::total).toList()))
                .isEqualTo(quote.total());
        assertThat(quote.dueNow().plus(quote.balance())).isEqualTo(quote.total());
        assertThat(Money.sum(
                        quote.taxes().stream().map(t -> t.net().plus(t.tax())).toList()))
                .isEqualTo(quote.total());
        assertThat(quote.taxes().stream().map(ContainedTax::rate).toList())
                .isSorted()
                .doesNotHaveDuplicates();
        for (Quote.QuotedLine line : quote.lines()) {
            assertThat(line.dueNow().plus(line.balance())).isEqualTo(line.total());
            assertThat(line.balanceDue() == null).isEqualTo(line.balance().isZero());
        }
    }

    @Property(tries = 2000)
    void noDiscountExceedsItsLine(@ForAll long seed) {
        Quote quote = quote(seed);
        for (int i = 0; i < basket.size(); i++) {
            Quote.QuotedLine line = quote.lines().get(i);
            assertThat(line.discount()).isBetween(Money.ZERO, line.price().amount());
            if (!promo.isFor(basket.get(i).line().offer().id())) {
                assertThat(line.discount()).isEqualTo(Money.ZERO);
            }
        }
    }

    @Property(tries = 1000)
    void theOrderOfLinesChangesNothingButCentsLeftOver(@ForAll long seed) {
        Quote quote = quote(seed);
        List<Quote.Asked> shuffled = new ArrayList<>(basket);
        Collections.shuffle(shuffled, new Random(seed));
        Quote other = Quote.of(shuffled, NOW, ZONE, "code", Map.of(PromoCode.normal("code"), promo));
        assertThat(other.subtotal()).isEqualTo(quote.subtotal());
        assertThat(other.discount()).isEqualTo(quote.discount());
        assertThat(other.total()).isEqualTo(quote.total());
        for (int i = 0; i < shuffled.size(); i++) {
            Quote.QuotedLine before = quote.lines().get(basket.indexOf(shuffled.get(i)));
            long difference =
                    other.lines().get(i).discount().minus(before.discount()).minor();
            assertThat(Math.abs(difference)).isLessThanOrEqualTo(1);
        }
    }

    @Property
    void aRefundNeverExceedsWhatWasPaid(
            @ForAll @LongRange(min = 0, max = 100_000) long total,
            @ForAll @LongRange(min = 0, max = 100_000) long deposit,
            @ForAll @LongRange(min = 0, max = 100_000) long paid,
            @ForAll @IntRange(min = -50, max = 200) int hoursAhead,
            @ForAll Terms.By by) {
        Terms terms = new Terms(
                List.of(
                        new Terms.Tier(72, new Keep.Share(Percent.of("12.5"))),
                        new Terms.Tier(24, new Keep.Deposit()),
                        new Terms.Tier(0, new Keep.Amount(Money.ofMinor(2500)))),
                OptionalInt.of(24));
        Money was = Money.ofMinor(paid);
        Terms.Outcome outcome = terms.cancel(
                Money.ofMinor(total), Money.ofMinor(deposit), was, NOW.plusSeconds(hoursAhead * 3600L), NOW, by);
        assertThat(outcome.refund()).isBetween(Money.ZERO, was);
        assertThat(outcome.keep()).isBetween(Money.ZERO, Money.ofMinor(total));
        assertThat(outcome.refund().plus(outcome.keep()).minus(outcome.uncollected()))
                .isEqualTo(was);
        if (by == Terms.By.HOST) {
            assertThat(outcome.refund()).isEqualTo(was);
        }
    }
}
