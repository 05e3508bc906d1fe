package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Minutes;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** The same time again, beside a naive reading of docs/openings.md, "Series", over the oracle's openings of each date. */
@Tag("oracle")
class SeriesTest {

    private static final Pattern LINE =
            Pattern.compile("(\\d+)\\+(\\d+) \\[(.*)] (\\S+) left (\\d+) at (\\d+)( contested)?");

    /** An opening as the oracle says it. */
    private record Plain(long start, long minutes, List<StaffId> staff, int left, long price, boolean contested) {

        static Plain of(String line) {
            Matcher m = LINE.matcher(line);
            assertThat(m.matches()).as(line).isTrue();
            List<StaffId> staff = m.group(3).isEmpty()
                    ? List.of()
                    : Arrays.stream(m.group(3).split(", ")).map(StaffId::new).toList();
            return new Plain(
                    Long.parseLong(m.group(1)),
                    Long.parseLong(m.group(2)),
                    staff,
                    Integer.parseInt(m.group(5)),
                    Long.parseLong(m.group(6)),
                    m.group(7) != null);
        }

        String said(LocalDate date) {
            return date + ": " + start + "+" + minutes + " " + staff + " left " + left + " at " + price
                    + (contested ? " contested" : "");
        }
    }

    /** Bookings of the weeks after as well, so that something stands against later dates. */
    private static List<Booking> weeks(RandomHouse random, long seed) {
        List<Booking> all = new ArrayList<>(random.bookings);
        Random chance = new Random(seed);
        for (Booking b : random.bookings) {
            for (int week = 1; week < 4; week++) {
                if (chance.nextInt(3) > 0) {
                    all.add(new Booking(
                            new BookingId(b.id() + "w" + week),
                            b.offer(),
                            b.start() + week * 7L * 24 * 60,
                            b.minutes(),
                            b.staff(),
                            b.place(),
                            b.party(),
                            b.status(),
                            b.expires(),
                            b.addOns()));
                }
            }
        }
        return all;
    }

    private static List<String> plainly(RandomHouse random, List<Booking> bookings, Series.Wish wish) {
        ZoneId zone = random.house.zone().id();
        Offer offer = random.house.offer(wish.query().offer()).orElseThrow();
        ZonedDateTime asked = Instant.ofEpochSecond(wish.start() * 60).atZone(zone);
        List<Booking> taken = new ArrayList<>(bookings);
        List<String> lines = new ArrayList<>();
        Set<StaffId> people = null;
        for (int i = 0; i < wish.times(); i++) {
            LocalDate date = asked.toLocalDate().plusWeeks((long) i * wish.every());
            LocalDateTime local = date.atTime(asked.toLocalTime());
            ZonedDateTime there = local.atZone(zone).withEarlierOffsetAtOverlap();
            long wanted = i == 0 ? wish.start() : there.toEpochSecond() / 60;
            boolean skipped = i > 0 && !there.toLocalDateTime().equals(local);
            Query on = wish.query().between(date, date);
            Oracle oracle = new Oracle(random.house, taken, random.busy, on);
            List<String> openings = oracle.openings();
            if (!openings.isEmpty() && openings.get(0).startsWith("refused")) {
                return openings.subList(0, 1);
            }
            List<Plain> all = openings.stream().map(Plain::of).toList();
            Long other = wish.instead().get(date);
            boolean takesOther = other != null && all.stream().anyMatch(o -> o.start() == other);
            long at = takesOther ? other : wanted;
            List<Plain> then = skipped && !takesOther
                    ? List.of()
                    : all.stream().filter(o -> o.start() == at).toList();
            if (then.isEmpty()) {
                List<Long> nearest = all.stream()
                        .map(Plain::start)
                        .distinct()
                        .sorted(Comparator.<Long>comparingLong(s -> Math.abs(s - wanted))
                                .thenComparing(Comparator.naturalOrder()))
                        .limit(3)
                        .toList();
                lines.add(date + ": not then, but " + nearest);
                continue;
            }
            Set<StaffId> same = people;
            Plain given = then.stream()
                    .filter(o -> same != null && new HashSet<>(o.staff()).equals(same))
                    .findFirst()
                    .orElseGet(() -> whoGetsIt(then, offer, oracle));
            people = people == null ? new HashSet<>(given.staff()) : people;
            lines.add(given.said(date));
            taken.add(booked(random, offer, wish.query(), given, i));
        }
        return lines;
    }

    private static Plain whoGetsIt(List<Plain> then, Offer offer, Oracle oracle) {
        boolean least =
                offer.serving().pick() == Serving.Pick.ANY && offer.serving().assign() == Serving.Assign.LEAST;
        return then.stream()
                .min(Comparator.comparingLong(Plain::price)
                        .thenComparing(Plain::contested)
                        .thenComparingLong(
                                o -> least ? oracle.minutesInWeek(o.staff().get(0), o.start()) : then.indexOf(o)))
                .orElseThrow();
    }

    private static Booking booked(RandomHouse random, Offer offer, Query query, Plain given, int number) {
        List<PlaceId> places = random.house.placesOf(offer);
        PlaceId place = query.place() != null ? query.place() : places.isEmpty() ? null : places.get(0);
        return new Booking(
                new BookingId("again" + number),
                offer.id(),
                given.start(),
                Minutes.of(given.minutes()),
                given.staff(),
                place,
                query.party(),
                BookingStatus.CONFIRMED,
                null,
                query.addOns());
    }

    private static List<String> lines(Series.Found found) {
        return found.refusal() != null
                ? List.of("refused: " + found.refusal().code())
                : found.dates().stream().map(SeriesTest::line).toList();
    }

    private static String line(Series.Date date) {
        if (date.time() == null || date.option() == null) {
            return date.date() + ": not then, but " + date.nearest();
        }
        return new Plain(
                        date.time().start(),
                        date.time().length().count(),
                        date.option().staff(),
                        date.option().opening().left(),
                        date.option().opening().price().minor(),
                        date.option().opening().contested())
                .said(date.date());
    }

    @Property(tries = 400, shrinking = ShrinkingMode.OFF)
    void everyDateIsAsTheOracleSaysIt(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        Query query = random.query();
        if (random.house.offer(query.offer()).orElseThrow().hasTimetable()) {
            return;
        }
        List<Booking> bookings = weeks(random, seed);
        Booked booked = Booked.of(bookings, random.busy);
        Random chance = new Random(~seed);
        List<Answer.Entry> first =
                Openings.openings(random.house, booked, query).entries();
        long start = first.isEmpty() || chance.nextInt(5) == 0
                ? random.house.zone().minuteOf(query.from().atTime(chance.nextInt(24), 30))
                : first.get(chance.nextInt(first.size())).time().start();
        Series.Wish wish = Series.Wish.of(query, start, 2 + chance.nextInt(3), 1 + chance.nextInt(2));
        Series.Found found = Series.of(random.house, booked, wish);
        assertThat(lines(found)).as("house %d, %s", seed, wish).isEqualTo(plainly(random, bookings, wish));
        Map<LocalDate, Long> instead = found.dates().stream()
                .filter(d -> !d.nearest().isEmpty())
                .collect(Collectors.toMap(
                        Series.Date::date, d -> d.nearest().get(d.nearest().size() - 1)));
        Series.Wish picked = new Series.Wish(query, start, wish.times(), wish.every(), instead);
        assertThat(lines(Series.of(random.house, booked, picked)))
                .as("house %d, %s", seed, picked)
                .isEqualTo(plainly(random, bookings, picked));
    }

    @Example
    void whatIsNoSeriesIsRefused() {
        RandomHouse random = new RandomHouse(1);
        Query query = random.query();
        assertThatThrownBy(() -> Series.Wish.of(query, 0, 1, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Series.Wish.of(query, 0, 53, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Series.Wish.of(query, 0, 2, 9)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Series.Wish.of(query, 0, 52, 8).times()).isEqualTo(52);
    }
}
