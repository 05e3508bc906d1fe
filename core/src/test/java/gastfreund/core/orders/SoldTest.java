package gastfreund.core.orders;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.Starts;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.Minutes;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What an offer of now is where something sold of it earlier is looked for. */
class SoldTest {

    private static final Length HOUR = Length.of("60", 60, 5_000);
    private static final AddOn CLAY =
            new AddOn(new AddOnId("clay"), "Clay", Money.ofMinor(500), AddOn.Per.UNIT, 3, Minutes.of(10));
    private static final Sold SOLD = new Sold(
            "Lesson",
            HOUR,
            List.of(CLAY),
            Offer.Confirm.INSTANT,
            Payment.full(),
            Terms.none(),
            Percent.ZERO,
            "",
            Map.of());

    private static Offer offer(Sharing sharing, List<Length> lengths, List<AddOn> addOns) {
        return new Offer(
                new OfferId("lesson"),
                "Lesson",
                lengths,
                Offer.Basis.BOOKING,
                Starts.usual(),
                null,
                Minutes.ZERO,
                Minutes.ZERO,
                sharing,
                new Party(2, 4),
                Serving.nobody(),
                List.of(),
                List.of(),
                null,
                Bounds.none(),
                Offer.Confirm.INSTANT,
                false,
                addOns,
                List.of(),
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
    }

    @Test
    void whatIsStillSoldSoIsTakenAsItIsNow() {
        Length dearer = Length.of("60", 60, 9_900);
        Offer now = SOLD.within(offer(Sharing.none(), List.of(dearer), List.of(CLAY)), 1, 2)
                .orElseThrow();
        assertThat(now.lengths()).containsExactly(dearer);
        assertThat(now.addOns()).containsExactly(CLAY);
    }

    @Test
    void whatTakesAnotherTimeNowIsTakenAsItWas() {
        Offer now = SOLD.within(
                        offer(
                                Sharing.none(),
                                List.of(Length.of("30", 30, 2_000), Length.of("60", 75, 9_900)),
                                List.of(new AddOn(CLAY.id(), "Clay", Money.ZERO, AddOn.Per.UNIT, 3, Minutes.ZERO))),
                        1,
                        2)
                .orElseThrow();
        assertThat(now.lengths()).containsExactly(Length.of("30", 30, 2_000), HOUR);
        assertThat(now.addOns()).containsExactly(CLAY);
    }

    @Test
    void whatIsGoneIsThereAgain() {
        Offer now = SOLD.within(offer(Sharing.none(), List.of(Length.of("30", 30, 2_000)), List.of()), 1, 7)
                .orElseThrow();
        assertThat(now.lengths()).containsExactly(Length.of("30", 30, 2_000), HOUR);
        assertThat(now.addOns()).containsExactly(CLAY);
        assertThat(now.party()).isEqualTo(new Party(2, 7));
    }

    @Test
    void whatCannotBeHadInItAnyMoreIsNoOffer() {
        assertThat(SOLD.within(offer(Sharing.of(8, Sharing.Fill.FIRST), List.of(HOUR), List.of()), 1, 2))
                .isEmpty();
    }
}
