package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.figures.Play;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** What would have been sold, beside guests who come one by one to the oracle. */
@Tag("oracle")
class PlayTest {

    private static Query query(RandomHouse random, Offer offer, int minute) {
        Instant now = random.house
                .zone()
                .localOf(random.house.zone().startOf(random.middle.minusDays(1)))
                .atZone(random.house.zone().id())
                .toInstant()
                .plusSeconds(minute * 60L);
        Query query = Query.of(offer.id(), random.middle, random.middle.plusDays(1), now)
                .withParty(offer.party().min());
        return offer.hasTimetable()
                ? query
                : query.withLength(
                        offer.lengths().get(0).id(), offer.lengths().get(0).minUnits());
    }

    /** The number of guests for whom the oracle still has a start, each of whom takes what the engine gives at the first. */
    @Property(shrinking = ShrinkingMode.OFF, tries = 60)
    void eachFindsWhatTheOracleHasAfterThoseBefore(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        List<Play.Wanted> wanted = new ArrayList<>();
        int minute = 0;
        for (Offer offer : random.house.offers()) {
            wanted.add(0, new Play.Wanted(query(random, offer, ++minute), null, 3));
        }
        Play.Result result = Play.of(random.house, Booked.of(random.bookings, random.busy), wanted);
        assertThat(result.asked()).isEqualTo(3 * wanted.size());
        List<Booking> taken = new ArrayList<>(random.bookings);
        int had = 0;
        Money money = Money.ZERO;
        for (int i = wanted.size() - 1; i >= 0; i--) {
            Query query = wanted.get(i).query();
            for (int guest = 0; guest < 3; guest++) {
                List<String> open = new Oracle(random.house, taken, random.busy, query).openings();
                if (open.isEmpty() || open.get(0).startsWith("refused")) {
                    break;
                }
                Answer.Entry entry = Openings.openings(random.house, Booked.of(taken, random.busy), query)
                        .entries()
                        .get(0);
                Answer.Judged option = entry.open().get(0);
                for (Answer.Judged other : entry.open()) {
                    if (other.opening().price().compareTo(option.opening().price()) < 0) {
                        option = other;
                    }
                }
                had++;
                money = money.plus(option.opening().price());
                taken.add(new Booking(
                        new BookingId("guest" + had),
                        query.offer(),
                        entry.time().start(),
                        entry.time().length(),
                        option.staff(),
                        option.place(),
                        query.party(),
                        BookingStatus.CONFIRMED,
                        null,
                        query.addOns()));
            }
        }
        assertThat(result).as("seed %s", seed).isEqualTo(new Play.Result(result.asked(), had, money));
    }

    @Example
    void somebodyHasToAsk() {
        RandomHouse random = new RandomHouse(1);
        Query query = query(random, random.house.offers().iterator().next(), 1);
        assertThatThrownBy(() -> new Play.Wanted(query, null, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThat(new Play.Result(5, 4, Money.ofMinor(400)).minus(new Play.Result(5, 1, Money.ofMinor(100))))
                .isEqualTo(new Play.Result(5, 3, Money.ofMinor(300)));
    }
}
