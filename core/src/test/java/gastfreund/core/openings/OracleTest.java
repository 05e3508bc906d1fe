package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Audience;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Sharing;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/**
 * The engine against a naive oracle on random houses, and properties that hold whatever the house. On demand more:
 * {@code mvn -pl core test -Dbeside=none -Dtest=OracleTest -Dhouses=50000 -Dseed=1}; a failure names the seed of its house.
 */
@Tag("oracle")
class OracleTest {

    private static final int QUERIES = 3;

    private static void agree(long seed) {
        RandomHouse random = new RandomHouse(seed);
        Booked booked = Booked.of(random.bookings, random.busy);
        for (int i = 0; i < QUERIES; i++) {
            Query query = random.query();
            Oracle oracle = new Oracle(random.house, random.bookings, random.busy, query);
            assertThat(Oracle.lines(Openings.explain(random.house, booked, query), false))
                    .as("reasons in house %d, question %d: %s", seed, i, query)
                    .isEqualTo(oracle.explained());
            assertThat(Oracle.lines(Openings.openings(random.house, booked, query), true))
                    .as("openings in house %d, question %d: %s", seed, i, query)
                    .isEqualTo(oracle.openings());
        }
    }

    @Property(shrinking = ShrinkingMode.OFF)
    void theEngineAndTheOracleAgree(@ForAll long seed) {
        agree(seed);
    }

    @Example
    void andOnAsManyMoreAsAreAskedFor() {
        SplittableRandom seeds = new SplittableRandom(Long.getLong("seed", 0));
        for (int i = Integer.getInteger("houses", 100); i > 0; i--) {
            agree(seeds.nextLong());
        }
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void whatIsToldFirstIsTheFirstOfAllWithinHours(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query();
        Booked booked = Booked.of(random.bookings, random.busy);
        boolean planned = random.house.offer(query.offer()).orElseThrow().hasTimetable();
        assertThat(firsts(Openings.firstReasons(random.house, booked, query), true))
                .as("house %d, %s", seed, query)
                .isEqualTo(firsts(Openings.explain(random.house, booked, query), planned));
    }

    /** @param always whether options outside their hours are among them */
    private static List<String> firsts(Answer answer, boolean always) {
        return answer.entries().stream()
                .flatMap(e -> e.options().stream()
                        .filter(o -> always || o.reasons().stream().noneMatch(Reason.OutsideHours.class::isInstance))
                        .map(o -> e.time() + " " + o.staff() + " " + o.place() + " "
                                + (o.isOpen()
                                        ? o.opening().toString()
                                        : o.reasons().get(0).code())))
                .toList();
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void aCancelledBookingChangesNothing(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query();
        List<Booking> more = new ArrayList<>(random.bookings);
        random.bookings.forEach(b -> more.add(with(b, "c" + b.id(), BookingStatus.CANCELLED)));
        assertThat(lines(random, more, query)).isEqualTo(lines(random, random.bookings, query));
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void splittingTheDatesGivesTheSameAsAskingAtOnce(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query();
        List<String> parts = new ArrayList<>();
        query.from()
                .datesUntil(query.to().plusDays(1))
                .forEach(d -> parts.addAll(lines(random, random.bookings, query.between(d, d))));
        List<String> whole = lines(random, random.bookings, query);
        boolean refused = !whole.isEmpty() && whole.get(0).startsWith("refused");
        assertThat(refused ? parts.subList(0, 1) : parts).isEqualTo(whole);
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void aTakenOpeningGoesAndOpensNothingForTheSameStaff(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query().without(Set.of());
        Offer offer = random.house.offer(query.offer()).orElseThrow();
        Answer before = Openings.openings(random.house, Booked.of(random.bookings, random.busy), query);
        if (before.entries().isEmpty() || offer.contested()) {
            return;
        }
        Answer.Entry entry = before.entries().get(before.entries().size() / 2);
        Answer.Judged option = entry.options().get(0);
        List<Booking> more = new ArrayList<>(random.bookings);
        more.add(new Booking(
                new BookingId("taken"),
                offer.id(),
                entry.time().start(),
                entry.time().length(),
                option.staff(),
                option.place(),
                query.party(),
                BookingStatus.CONFIRMED,
                null,
                Map.of()));
        Answer after = Openings.openings(random.house, Booked.of(more, random.busy), query);
        int left = after.entries().stream()
                .filter(e -> e.time().equals(entry.time()))
                .flatMap(e -> e.options().stream())
                .filter(o -> o.staff().equals(option.staff()) && java.util.Objects.equals(o.place(), option.place()))
                .mapToInt(o -> o.opening().left())
                .findFirst()
                .orElse(0);
        assertThat(left)
                .as("house %d, %s", seed, query)
                .isLessThan(option.opening().left());
        if (offer.sharing().fill() == Sharing.Fill.SPREAD || !offer.sharing().shared()) {
            Set<String> open = new HashSet<>(startsOf(before));
            assertThat(open).as("house %d, %s", seed, query).containsAll(startsOf(after));
        }
    }

    private static List<String> startsOf(Answer answer) {
        return answer.entries().stream()
                .flatMap(e -> e.options().stream().map(o -> e.time() + " " + o.staff() + " " + o.place()))
                .collect(Collectors.toList());
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void theDeskSeesWhatGuestsSeeAndMore(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query();
        Booked booked = Booked.of(random.bookings, random.busy);
        Answer guest = Openings.openings(random.house, booked, query.askedBy(Audience.GUEST));
        Answer desk = Openings.openings(random.house, booked, query.askedBy(Audience.DESK));
        boolean fills =
                random.house.offer(query.offer()).orElseThrow().sharing().fill() == Sharing.Fill.FIRST;
        boolean windows = random.house.offer(query.offer()).orElseThrow().starts()
                instanceof gastfreund.core.offers.Starts.FromWindow;
        if (!fills && !windows) {
            assertThat(startsOf(desk)).as("house %d, %s", seed, query).containsAll(startsOf(guest));
        }
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void aHouseMovedByAWeekAnswersTheSameAWeekLater(@ForAll long seed) {
        RandomHouse now = RandomHouse.withoutClockChanges(seed, 0);
        RandomHouse later = RandomHouse.withoutClockChanges(seed, 1);
        List<String> lines = lines(now, now.bookings, now.query());
        assertThat(lines(later, later.bookings, later.query()))
                .as("house %d", seed)
                .isEqualTo(lines.stream().map(OracleTest::aWeekLater).toList());
    }

    private static String aWeekLater(String line) {
        int plus = line.indexOf('+');
        return plus < 0 ? line : Long.parseLong(line.substring(0, plus)) + 7 * 1440 + line.substring(plus);
    }

    private static Booking with(Booking b, String id, BookingStatus status) {
        return new Booking(
                new BookingId(id),
                b.offer(),
                b.start(),
                b.minutes(),
                b.staff(),
                b.place(),
                b.party(),
                status,
                b.expires(),
                b.addOns());
    }

    private static List<String> lines(RandomHouse random, List<Booking> bookings, Query query) {
        return Oracle.lines(Openings.explain(random.house, Booked.of(bookings, random.busy), query), false);
    }
}
