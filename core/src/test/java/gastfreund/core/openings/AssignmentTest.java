package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.bookings.Booked;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Serving;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** Who serves whoever names nobody, beside a plain count of everybody's week. */
@Tag("oracle")
class AssignmentTest {

    /** Whether an option goes before another, where neither is named. */
    private static boolean goesBefore(
            Answer.Judged one, Answer.Judged other, long start, Offer offer, Oracle oracle, List<Answer.Judged> all) {
        int byPrice = one.opening().price().compareTo(other.opening().price());
        if (byPrice != 0) {
            return byPrice < 0;
        }
        if (one.opening().contested() != other.opening().contested()) {
            return other.opening().contested();
        }
        boolean least = !offer.hasTimetable()
                && offer.serving().pick() == Serving.Pick.ANY
                && offer.serving().assign() == Serving.Assign.LEAST;
        long minutes = least ? oracle.minutesInWeek(one.staff().get(0), start) : 0;
        long others = least ? oracle.minutesInWeek(other.staff().get(0), start) : 0;
        return minutes != others ? minutes < others : all.indexOf(one) < all.indexOf(other);
    }

    @Property(tries = 600, shrinking = ShrinkingMode.OFF)
    void nobodyElseGoesBeforeWhoeverGetsIt(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Booked booked = Booked.of(random.bookings, random.busy);
        Query query = random.query();
        Offer offer = random.house.offer(query.offer()).orElseThrow();
        Oracle oracle = new Oracle(random.house, random.bookings, random.busy, query);
        for (Answer.Entry entry : Openings.openings(random.house, booked, query).entries()) {
            Answer.Judged given = Assignment.of(random.house, booked, query, entry);
            assertThat(entry.open())
                    .as("house %d, %s", seed, query)
                    .contains(given)
                    .noneMatch(
                            o -> o != given && goesBefore(o, given, entry.time().start(), offer, oracle, entry.open()));
        }
    }
}
