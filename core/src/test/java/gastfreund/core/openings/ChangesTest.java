package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Staff;
import gastfreund.core.sessions.Session;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** What no longer fits, and what a change does, beside a naive oracle on random houses that are changed at random. */
@Tag("oracle")
class ChangesTest {

    private static final int DAYS = 3;

    private static List<String> unfit(RandomHouse random, House house, LocalDate from, LocalDate to, Instant now) {
        List<Oracle.Unfit> all = new ArrayList<>();
        for (Offer offer : house.offers()) {
            Query query = Query.of(offer.id(), from, to, now).askedBy(Audience.DESK);
            all.addAll(new Oracle(house, random.bookings, random.busy, query).unfit());
        }
        all.sort(Comparator.comparingLong(Oracle.Unfit::start)
                .thenComparingLong(Oracle.Unfit::end)
                .thenComparingInt(Oracle.Unfit::offer)
                .thenComparingInt(Oracle.Unfit::place));
        return all.stream().map(Oracle.Unfit::line).toList();
    }

    private static String line(House house, Clash clash) {
        Session s = clash.session();
        return s.offer() + " " + s.guests().start() + "+" + s.guests().length().count() + " " + s.place() + " "
                + house.staff().stream()
                        .map(Staff::id)
                        .filter(s.staff()::contains)
                        .map(Object::toString)
                        .toList()
                + " "
                + s.bookings().stream().map(b -> b.id().value()).toList() + " "
                + clash.reasons().stream().map(Reason::code).toList();
    }

    @Property(tries = 600, shrinking = ShrinkingMode.OFF)
    void whatDoesNotFitIsWhatTheOracleSays(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        House house = random.changed();
        LocalDate from = random.middle.minusDays(2);
        LocalDate to = random.middle.plusDays(2);
        Instant now = random.now();
        assertThat(Clashes.of(house, Booked.of(random.bookings, random.busy), from, to, now).stream()
                        .map(c -> line(house, c)))
                .as("house %d", seed)
                .isEqualTo(unfit(random, house, from, to, now));
    }

    private static Set<String> onSale(RandomHouse random, House house, OfferId id, Instant now) {
        Offer offer = house.offer(id).orElseThrow();
        LocalDate first = house.zone().dateOf(now);
        Query query = Query.of(id, first, first.plusDays(DAYS - 1L), now)
                .withParty(offer.party().min());
        Set<String> onSale = new HashSet<>();
        if (offer.hasTimetable()) {
            return new Oracle(house, random.bookings, random.busy, query).onSale();
        }
        Set<PlaceId> places = new LinkedHashSet<>(offer.places());
        if (places.isEmpty()) {
            places.add(null);
        }
        for (Length length : offer.lengths()) {
            for (PlaceId place : places) {
                Query one = query.withLength(length.id(), length.minUnits()).withPlace(place);
                onSale.addAll(new Oracle(house, random.bookings, random.busy, one).onSale());
            }
        }
        return onSale;
    }

    private static String changes(House house, Set<String> was, Set<String> is) {
        TreeMap<LocalDate, int[]> days = new TreeMap<>();
        Set<String> gained = new HashSet<>(is);
        gained.removeAll(was);
        Set<String> lost = new HashSet<>(was);
        lost.removeAll(is);
        gained.forEach(g -> days.computeIfAbsent(date(house, g), d -> new int[2])[0]++);
        lost.forEach(l -> days.computeIfAbsent(date(house, l), d -> new int[2])[1]++);
        Set<Long> startsBefore = starts(was);
        Set<Long> startsAfter = starts(is);
        StringBuilder line = new StringBuilder(was.size() + " " + is.size() + " +" + gained.size() + " -" + lost.size()
                + " +"
                + startsAfter.stream().filter(s -> !startsBefore.contains(s)).count()
                + " -"
                + startsBefore.stream().filter(s -> !startsAfter.contains(s)).count());
        days.forEach((date, n) -> line.append(" ")
                .append(date)
                .append(" +")
                .append(n[0])
                .append(" -")
                .append(n[1]));
        return line.toString();
    }

    private static Set<Long> starts(Set<String> lines) {
        Set<Long> starts = new HashSet<>();
        lines.forEach(l -> starts.add(start(l)));
        return starts;
    }

    private static long start(String line) {
        return Long.parseLong(line.substring(line.lastIndexOf(' ') + 1));
    }

    private static LocalDate date(House house, String line) {
        return house.zone().dateOf(start(line));
    }

    private static String changes(Comparison.Change c) {
        StringBuilder line = new StringBuilder(c.before() + " " + c.after() + " +" + c.gained() + " -" + c.lost() + " +"
                + c.startsGained() + " -" + c.startsLost());
        c.days().forEach(d -> line.append(" ")
                .append(d.date())
                .append(" +")
                .append(d.gained())
                .append(" -")
                .append(d.lost()));
        return line.toString();
    }

    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void whatAChangeDoesIsWhatTheOracleSays(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        House after = random.changed();
        Booked booked = Booked.of(random.bookings, random.busy);
        Instant now = random.now();
        Comparison given = Comparison.of(random.house, booked, after, booked, now, DAYS);
        List<String> right = new ArrayList<>();
        for (Offer offer : after.offers()) {
            Set<String> was = onSale(random, random.house, offer.id(), now);
            Set<String> is = onSale(random, after, offer.id(), now);
            if (!was.equals(is)) {
                right.add(offer.id() + " " + changes(after, was, is));
            }
        }
        assertThat(given.offers().stream().map(c -> c.offer() + " " + changes(c)))
                .as("house %d", seed)
                .isEqualTo(right);
    }

    /** Clashes that a change makes are those of the house after, less the reasons that there were before. */
    @Property(tries = 300, shrinking = ShrinkingMode.OFF)
    void theClashesOfAChangeAreThoseThatOnlyTheHouseAfterHas(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        House after = random.changed();
        Booked booked = Booked.of(random.bookings, random.busy);
        LocalDate from = random.middle.minusDays(150);
        LocalDate to = random.middle.plusDays(150);
        Instant now = random.now();
        List<Clash> before = Clashes.of(random.house, booked, from, to, now);
        List<String> right = new ArrayList<>();
        for (Clash clash : Clashes.of(after, booked, from, to, now)) {
            List<Reason> fresh = clash.reasons().stream()
                    .filter(r -> before.stream()
                            .noneMatch(b -> same(b.session(), clash.session())
                                    && b.reasons().stream()
                                            .anyMatch(x -> x.code().equals(r.code()))))
                    .toList();
            if (!fresh.isEmpty() && !clash.session().bookings().isEmpty()) {
                right.add(line(after, new Clash(clash.session(), fresh)));
            }
        }
        assertThat(Comparison.of(random.house, booked, after, booked, now, 1).clashes().stream()
                        .map(c -> line(after, c)))
                .as("house %d", seed)
                .isEqualTo(right);
    }

    private static boolean same(Session one, Session other) {
        return one.offer().equals(other.offer())
                && one.guests().equals(other.guests())
                && java.util.Objects.equals(one.place(), other.place())
                && one.staff().equals(other.staff())
                && ids(one).equals(ids(other));
    }

    private static Set<Object> ids(Session session) {
        Set<Object> ids = new HashSet<>();
        session.bookings().stream().map(Booking::id).forEach(ids::add);
        return ids;
    }

    @Property(tries = 200, shrinking = ShrinkingMode.OFF)
    void whatChangesNothingDoesNothing(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Booked booked = Booked.of(random.bookings, random.busy);
        Comparison none = Comparison.of(random.house, booked, random.house, booked, random.now(), 28);
        assertThat(none.offers()).isEmpty();
        assertThat(none.clashes()).isEmpty();
    }

    @Example
    void tooManyDatesAreRefused() {
        RandomHouse random = new RandomHouse(1);
        Instant now = random.now();
        LocalDate day = random.middle;
        assertThatThrownBy(() -> Clashes.of(random.house, Booked.nothing(), day, day.plusDays(400), now))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Clashes.of(random.house, Booked.nothing(), day, day.minusDays(1), now))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(
                        () -> Comparison.of(random.house, Booked.nothing(), random.house, Booked.nothing(), now, 401))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
