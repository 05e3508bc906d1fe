package gastfreund.core.openings;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.figures.SoldTime;
import gastfreund.core.figures.Track;
import gastfreund.core.figures.Track.Kind;
import gastfreund.core.figures.Track.Share;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.LongStream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;

/** How much of the time was sold, beside a count of each minute, written from docs/figures.md. */
@Tag("oracle")
class SoldTimeTest {

    private static final Set<BookingStatus> SOLD =
            EnumSet.of(BookingStatus.CONFIRMED, BookingStatus.COMPLETED, BookingStatus.NO_SHOW);

    /** What takes place: whose, when, who serves, and the bookings in it. */
    private record Held(Offer offer, long start, long end, Collection<StaffId> staff, List<Booking> bookings) {

        boolean has(long minute) {
            return start <= minute && minute < end;
        }
    }

    private final class Plainly {
        private final House house;
        private final HouseZone zone;
        private final RandomHouse random;
        private final List<Held> held = new ArrayList<>();
        /** What was looked at once: many tracks ask for the same minute. */
        private final Map<Schedule, Map<OfferId, byte[]>> open = new IdentityHashMap<>();

        private final Interval span;
        private final LocalDateTime[] locals;

        Plainly(RandomHouse random, LocalDate from, LocalDate to, Interval span) {
            this.random = random;
            this.span = span;
            house = random.house;
            zone = house.zone();
            locals = LongStream.range(span.start(), span.end())
                    .mapToObj(zone::localOf)
                    .toArray(LocalDateTime[]::new);
            Map<List<Object>, Held> sessions = new LinkedHashMap<>();
            for (Offer offer : house.offers()) {
                for (Timetable.Entry entry : offer.hasTimetable() ? offer.entries() : List.<Timetable.Entry>of()) {
                    for (long start : entry.startsBetween(from.minusDays(3), to.plusDays(3), zone)) {
                        long end = start + entry.length().minutes().count();
                        sessions.put(
                                Arrays.asList(offer.id(), start, entry.place()),
                                new Held(offer, start, end, entry.staff(), new ArrayList<>()));
                    }
                }
            }
            for (Booking b : random.bookings) {
                Offer offer = house.offer(b.offer()).orElseThrow();
                if (!SOLD.contains(b.status())) {
                    continue;
                }
                PlaceId place = b.place() != null || offer.places().isEmpty()
                        ? b.place()
                        : offer.places().get(0);
                Held occurrence =
                        offer.hasTimetable() ? sessions.get(Arrays.asList(offer.id(), b.start(), place)) : null;
                Object key = offer.sharing().shared() ? new HashSet<>(b.staff()) : b.id();
                Held session = occurrence != null
                        ? occurrence
                        : sessions.computeIfAbsent(
                                Arrays.asList(offer.id(), b.start(), place, b.minutes(), key),
                                k -> new Held(
                                        offer,
                                        b.start(),
                                        b.start() + b.minutes().count(),
                                        b.staff(),
                                        new ArrayList<>()));
                session.bookings().add(b);
            }
            sessions.values().stream()
                    .filter(s -> !s.bookings().isEmpty()
                            || !house.retired().offers().contains(s.offer().id()))
                    .forEach(held::add);
        }

        private LocalDateTime local(long minute) {
            return locals[(int) (minute - span.start())];
        }

        private boolean open(Schedule hours, Offer offer, long minute) {
            byte[] known = open.computeIfAbsent(hours, h -> new HashMap<>())
                    .computeIfAbsent(offer.id(), o -> new byte[(int) (span.end() - span.start())]);
            int at = (int) (minute - span.start());
            if (known[at] == 0) {
                known[at] = (byte) (looked(hours, offer, minute) ? 1 : 2);
            }
            return known[at] == 1;
        }

        private boolean looked(Schedule hours, Offer offer, long minute) {
            LocalDate date = local(minute).toLocalDate();
            // A night may reach over a date that the house's clock has skipped as a whole.
            for (LocalDate day : List.of(date.minusDays(2), date.minusDays(1), date)) {
                for (Window w : hours.windowsOn(day)) {
                    long begins = zone.minuteOf(day.atStartOfDay().plusMinutes(w.from()));
                    LocalDateTime last = (w.to() <= w.from() ? day.plusDays(1) : day)
                            .atStartOfDay()
                            .plusMinutes(w.to());
                    if (w.countsFor(offer.id(), Audience.GUEST) && begins <= minute && minute < zone.minuteOf(last)) {
                        return true;
                    }
                }
            }
            return false;
        }

        private boolean could(Offer offer, List<StaffId> staff, long minute) {
            if (!offer.bounds().inSeason(local(minute).toLocalDate())
                    || !open(offer.hours() != null ? offer.hours() : house.hours(), offer, minute)
                    || !staff.stream()
                            .allMatch(s -> !house.retired().staff().contains(s)
                                    && open(house.staff(s).hours(), offer, minute))
                    || !offer.uses().stream()
                            .allMatch(u -> open(house.resource(u.resource()).hours(), offer, minute))) {
                return false;
            }
            return offer.places().isEmpty()
                    || offer.places().stream()
                            .anyMatch(p -> !house.retired().places().contains(p)
                                    && open(house.place(p).hours(), offer, minute));
        }

        /** Whether some offer could be sold then of which {@code of} holds, by people with whom {@code by} holds. */
        private boolean anyCould(
                long minute, java.util.function.Predicate<Offer> of, java.util.function.Predicate<List<StaffId>> by) {
            return house.offers().stream()
                    .filter(o -> !o.hasTimetable() && !house.retired().offers().contains(o.id()) && of.test(o))
                    .anyMatch(o ->
                            o.serving().options().stream().filter(by).anyMatch(together -> could(o, together, minute)));
        }

        private static boolean uses(Offer offer, Resource thing) {
            return offer.uses().stream().map(Use::resource).anyMatch(thing.id()::equals);
        }

        /** How many units of a track could be sold in a minute, and how many were. */
        private int[] at(Track track, long minute) {
            switch (track.kind()) {
                case STAFF: {
                    StaffId id = new StaffId(track.id());
                    boolean away = random.busy.stream()
                            .anyMatch(b -> b.staff().equals(id)
                                    && b.interval().start() <= minute
                                    && minute < b.interval().end());
                    List<Held> own = held.stream()
                            .filter(h -> h.has(minute) && h.staff().contains(id))
                            .toList();
                    boolean sold = own.stream().anyMatch(h -> !h.bookings().isEmpty());
                    boolean could = own.stream().anyMatch(SoldTimeTest::isOccurrence)
                            || anyCould(minute, o -> true, together -> together.contains(id));
                    return new int[] {sold || could && !away ? 1 : 0, sold ? 1 : 0};
                }
                case RESOURCE: {
                    Resource thing = house.resource(new gastfreund.core.offers.ResourceId(track.id()));
                    int taken = 0;
                    boolean could = anyCould(minute, o -> uses(o, thing), together -> true);
                    for (Held h : held) {
                        if (h.has(minute) && uses(h.offer(), thing)) {
                            int persons = h.bookings().stream()
                                    .mapToInt(Booking::party)
                                    .sum();
                            int units = 0;
                            for (Use use : h.offer().uses()) {
                                if (use.resource().equals(thing.id())) {
                                    units += use.units()
                                            * switch (use.per()) {
                                                case SESSION -> 1;
                                                case BOOKING -> h.bookings().size();
                                                case PERSON -> persons;
                                            };
                                }
                            }
                            could |= isOccurrence(h)
                                    || units > 0 && !h.bookings().isEmpty();
                            taken += h.bookings().isEmpty() ? 0 : units;
                        }
                    }
                    return new int[] {could ? thing.units() : 0, taken};
                }
                default: {
                    List<Held> own = held.stream()
                            .filter(h -> h.has(minute) && h.offer().id().value().equals(track.id()))
                            .toList();
                    boolean sold = own.stream().anyMatch(h -> !h.bookings().isEmpty());
                    boolean could = !own.isEmpty()
                            || anyCould(minute, o -> o.id().value().equals(track.id()), together -> true);
                    return new int[] {could ? 1 : 0, sold ? 1 : 0};
                }
            }
        }
    }

    private static boolean isOccurrence(Held held) {
        return held.offer().hasTimetable()
                && held.offer().entries().stream().anyMatch(e -> Objects.equals(e.staff(), held.staff()));
    }

    @Property(shrinking = ShrinkingMode.OFF, tries = 60)
    void itIsWhatACountOfEachMinuteGives(@ForAll long seed) {
        RandomHouse random = new RandomHouse(seed);
        HouseZone zone = random.house.zone();
        LocalDate from = random.middle.minusDays(1);
        LocalDate to = random.middle.plusDays(1);
        Interval span = Interval.between(zone.startOf(from), zone.startOf(to.plusDays(1)));
        Plainly plainly = new Plainly(random, from, to, span);
        List<Track> tracks = SoldTime.of(random.house, Booked.of(random.bookings, random.busy), span);
        assertThat(tracks)
                .hasSize(random.house.staff().size()
                        + random.house.resources().size()
                        + random.house.offers().size());
        for (Track track : tracks) {
            long[][] could = new long[7][24];
            long[][] sold = new long[7][24];
            for (long minute = span.start(); minute < span.end(); minute++) {
                LocalDateTime local = plainly.local(minute);
                int[] now = plainly.at(track, minute);
                could[local.getDayOfWeek().ordinal()][local.getHour()] += now[0];
                sold[local.getDayOfWeek().ordinal()][local.getHour()] += now[1];
            }
            Share[][] found = track.byHour(zone);
            for (int day = 0; day < 7; day++) {
                for (int hour = 0; hour < 24; hour++) {
                    assertThat(found[day][hour])
                            .as("%s %s, day %s, hour %s, seed %s", track.kind(), track.id(), day, hour, seed)
                            .isEqualTo(new Share(could[day][hour], Math.min(could[day][hour], sold[day][hour])));
                }
            }
        }
    }

    /** In a house whose clock skips a whole date, on the night before it. */
    @Example
    void aSkippedDateIsNoHole() {
        itIsWhatACountOfEachMinuteGives(6719938196356159602L);
    }

    @Example
    void aTrackAddsUpAndNeverSellsMoreThanThereIs() {
        HouseZone zone = HouseZone.of("Europe/Berlin");
        long noon = zone.minuteOf(LocalDate.of(2027, 1, 4).atTime(12, 0));
        Interval two = Interval.between(noon + 30, noon + 90);
        Track track = new Track(
                Kind.RESOURCE,
                "table",
                2,
                IntervalSet.of(Interval.between(noon, noon + 120)),
                List.of(new Track.Stretch(two, 2), new Track.Stretch(two, 1)));
        assertThat(track.byHour(zone)[0][12]).isEqualTo(new Share(120, 90));
        assertThat(track.byHour(zone)[0][13]).isEqualTo(new Share(120, 90));
        assertThat(track.share(zone).part()).isEqualTo(0.75);
        assertThat(Share.NONE.part()).isZero();
        assertThat(Collections.max(Arrays.asList(track.byHour(zone)[1]), java.util.Comparator.comparing(Share::could)))
                .isEqualTo(Share.NONE);
    }
}
