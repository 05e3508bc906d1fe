package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.wishes.WaitingList;
import gastfreund.core.wishes.Wish;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** Who gets what has come free, beside a naive reading of docs/waiting.md over the oracle's openings. */
@Tag("oracle")
class WaitingListTest {

    /** The start that the oracle finds for a wish; empty where nothing fits it. */
    private static Optional<Long> plainly(RandomHouse random, List<Booking> taken, Wish wish, Instant now) {
        Offer offer = random.house.offer(wish.offer()).orElseThrow();
        List<LengthId> lengths = new ArrayList<>(wish.lengths());
        if (lengths.isEmpty() || offer.hasTimetable()) {
            lengths = Collections.singletonList(null);
        }
        List<PlaceId> places = wish.places().isEmpty() ? Collections.singletonList(null) : wish.places();
        Long best = null;
        for (LengthId id : lengths) {
            for (PlaceId place : places) {
                Query query = Query.of(wish.offer(), wish.from(), wish.to(), now)
                        .withParty(wish.party())
                        .withStaff(wish.staff());
                if (place != null) {
                    query = query.withPlace(place);
                }
                if (id != null) {
                    Length length = offer.length(id).orElseThrow();
                    query = query.withLength(id, length.minUnits());
                }
                for (String line : new Oracle(random.house, taken, random.busy, query).openings()) {
                    if (line.startsWith("refused")) {
                        break;
                    }
                    long start = Long.parseLong(line.substring(0, line.indexOf('+')));
                    LocalTime time = Instant.ofEpochSecond(start * 60)
                            .atZone(random.house.zone().id())
                            .toLocalTime();
                    boolean then = wish.times().isEmpty()
                            || wish.times().stream()
                                    .anyMatch(t -> !time.isBefore(LocalTime.MIN.plusMinutes(t.from()))
                                            && (t.to() == 1440 || time.isBefore(LocalTime.MIN.plusMinutes(t.to()))));
                    boolean fits = then && (wish.start() == null || wish.start() == start);
                    if (fits && (best == null || start < best)) {
                        best = start;
                    }
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<Wish> wishes(RandomHouse random, Random chance, Instant now) {
        List<Wish> wishes = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            Query query = random.query();
            Offer offer = random.house.offer(query.offer()).orElseThrow();
            List<LengthId> lengths =
                    new ArrayList<>(offer.lengths().stream().map(Length::id).toList());
            Collections.shuffle(lengths, chance);
            List<PlaceId> places = new ArrayList<>(random.house.placesOf(offer));
            Collections.shuffle(places, chance);
            List<StaffId> people = offer.serving().of();
            List<Window> times = chance.nextInt(3) > 0
                    ? List.of()
                    : List.of(Window.of(chance.nextInt(700), 720), Window.of(1020, 1020 + 1 + chance.nextInt(420)));
            List<Long> starts = chance.nextInt(4) > 0
                    ? List.of()
                    : Openings.openings(random.house, Booked.of(List.of(), List.of()), query).entries().stream()
                            .map(e -> e.time().start())
                            .toList();
            wishes.add(new Wish(
                    "w" + i,
                    offer.id(),
                    1 + chance.nextInt(3),
                    lengths.subList(0, Math.min(lengths.size(), 1 + chance.nextInt(2))),
                    places.subList(0, Math.min(places.size(), chance.nextInt(3))),
                    people.isEmpty() || chance.nextInt(3) > 0 ? null : people.get(chance.nextInt(people.size())),
                    query.from(),
                    query.to(),
                    times,
                    starts.isEmpty() ? null : starts.get(chance.nextInt(starts.size()))));
        }
        return wishes;
    }

    /** Place after place is given until nothing fits anybody: each goes to the first wish that the oracle finds something for. */
    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void noWishIsPassedByWhileSomethingFitsIt(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Random chance = new Random(seed);
        Query any = random.query();
        Instant now = any.now();
        List<Wish> waiting = wishes(random, chance, now);
        List<Booking> taken = new ArrayList<>(random.bookings);
        for (int turn = 0; turn < 6; turn++) {
            Optional<WaitingList.Fit> found =
                    WaitingList.first(random.house, Booked.of(taken, random.busy), waiting, now);
            Optional<Wish> first = waiting.stream()
                    .filter(w -> plainly(random, taken, w, now).isPresent())
                    .findFirst();
            assertThat(found.map(WaitingList.Fit::wish))
                    .as("house %d, turn %d", seed, turn)
                    .isEqualTo(first);
            if (found.isEmpty()) {
                return;
            }
            Answer.Entry entry = found.get().entry();
            assertThat(Optional.of(entry.time().start()))
                    .as("house %d, %s", seed, first)
                    .isEqualTo(plainly(random, taken, first.orElseThrow(), now));
            Answer.Judged option = entry.open().get(0);
            taken.add(new Booking(
                    new BookingId("given" + turn),
                    found.get().wish().offer(),
                    entry.time().start(),
                    entry.time().length(),
                    option.staff(),
                    option.place(),
                    found.get().wish().party(),
                    BookingStatus.CONFIRMED,
                    null,
                    Map.of()));
            waiting.remove(found.get().wish());
        }
    }

    @Example
    void aWishHasDatesAndSomebodyWhoComes() {
        RandomHouse random = new RandomHouse(1);
        Wish wish = wishes(random, new Random(1), random.query().now()).get(0);
        assertThatThrownBy(() -> with(wish, 0, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> with(wish, 1, -1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> with(wish, 1, 400)).isInstanceOf(IllegalArgumentException.class);
        assertThat(with(wish, 1, 399).party()).isEqualTo(1);
    }

    private static Wish with(Wish wish, int party, int days) {
        return new Wish(
                wish.id(),
                wish.offer(),
                party,
                wish.lengths(),
                wish.places(),
                wish.staff(),
                wish.from(),
                wish.from().plusDays(days),
                wish.times(),
                wish.start());
    }
}
