package gastfreund.core.openings;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.WeeklyWindow;
import gastfreund.core.hours.Window;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Bounds;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Party;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.PriceRule;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Retired;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import gastfreund.core.terms.Terms;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import gastfreund.core.time.Recurrence;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A small house with everything in it, drawn from a seed, with dates around a change of the clock. */
final class RandomHouse {

    /** Zones with dates beside which the clock is changed: by an hour, by half an hour, over midnight, by a whole day. */
    private static final String[][] CHANGES = {
        {"Europe/Berlin", "2027-03-28"},
        {"Europe/Berlin", "2027-10-31"},
        {"Europe/Berlin", "2027-06-15"},
        {"America/New_York", "2026-11-01"},
        {"Australia/Lord_Howe", "2027-04-04"},
        {"Australia/Lord_Howe", "2027-10-03"},
        {"Asia/Kathmandu", "2027-02-10"},
        {"America/Havana", "2027-03-14"},
        {"America/Havana", "2027-11-07"},
        {"Asia/Beirut", "2027-03-28"},
        {"America/Sao_Paulo", "2018-11-04"},
        {"America/Sao_Paulo", "2018-02-18"},
        {"Pacific/Apia", "2011-12-30"},
        {"UTC", "2027-01-05"},
        {"Africa/Cairo", "2027-04-30"},
    };

    final House house;
    final List<Booking> bookings = new ArrayList<>();
    final List<Busy> busy = new ArrayList<>();
    final LocalDate middle;
    private final Random random;
    private final HouseZone zone;
    private final List<StaffId> staff;
    private final List<PlaceId> places;
    private final List<ResourceId> resources;

    RandomHouse(long seed) {
        this(new Random(seed), CHANGES[Math.floorMod(seed, CHANGES.length)], 0);
    }

    /** A house whose clock is never changed, with all its dates moved by some weeks. */
    static RandomHouse withoutClockChanges(long seed, int weeks) {
        return new RandomHouse(new Random(seed), new String[] {"Asia/Kathmandu", "2027-02-10"}, weeks);
    }

    private RandomHouse(Random random, String[] change, int weeks) {
        this.random = random;
        zone = HouseZone.of(change[0]);
        middle = LocalDate.parse(change[1]).plusWeeks(weeks);
        staff = IntStream.range(0, 1 + random.nextInt(4))
                .mapToObj(i -> new StaffId("s" + i))
                .toList();
        places = IntStream.range(0, random.nextInt(3))
                .mapToObj(i -> new PlaceId("p" + i))
                .toList();
        resources = IntStream.range(0, 1 + random.nextInt(3))
                .mapToObj(i -> new ResourceId("r" + i))
                .toList();
        House whole = House.of(
                "House",
                zone,
                Currency.getInstance("EUR"),
                chance(60) ? schedule() : Schedule.always(),
                places.stream()
                        .map(p -> new Place(p, "Place", Place.Kind.ONSITE, rarely()))
                        .toList(),
                staff.stream()
                        .map(s -> new Staff(s, "Staff", chance(60) ? schedule() : Schedule.always(), maybe(20, 4)))
                        .toList(),
                resources.stream()
                        .map(r -> new Resource(r, "Resource", 1 + random.nextInt(8), rarely()))
                        .toList(),
                offers());
        house = whole.retiring(new Retired(
                gone(places),
                gone(staff),
                gone(resources),
                gone(whole.offers().stream().map(Offer::id).toList())));
        int n = random.nextInt(30);
        for (int i = 0; i < n; i++) {
            bookings.add(booking(i));
        }
        for (int i = random.nextInt(4); i > 0; i--) {
            long from = zone.minuteOf(date().atTime(time()));
            busy.add(new Busy(pick(staff), Interval.between(from, from + 1 + random.nextInt(300))));
        }
    }

    /** The house after a change or several: other hours, units, offers and retired things, with the same ids. */
    House changed() {
        List<Place> otherPlaces = house.places().stream()
                .map(p -> chance(20) ? new Place(p.id(), p.name(), p.kind(), schedule()) : p)
                .toList();
        List<Staff> otherStaff = house.staff().stream()
                .map(s -> chance(30) ? new Staff(s.id(), s.name(), schedule(), s.maxPerDay()) : s)
                .toList();
        List<Resource> otherResources = house.resources().stream()
                .map(r -> chance(25) ? new Resource(r.id(), r.name(), 1 + random.nextInt(4), r.hours()) : r)
                .toList();
        List<Offer> otherOffers =
                house.offers().stream().map(o -> chance(20) ? offer(o.id()) : o).toList();
        House other = House.of(
                house.name(),
                zone,
                house.currency(),
                chance(30) ? schedule() : house.hours(),
                otherPlaces,
                otherStaff,
                otherResources,
                otherOffers);
        return other.retiring(
                chance(70)
                        ? house.retired()
                        : new Retired(
                                gone(places),
                                gone(staff),
                                gone(resources),
                                gone(otherOffers.stream().map(Offer::id).toList())));
    }

    /** Few of them, in few houses. */
    private <T> Set<T> gone(List<T> things) {
        return chance(70) ? Set.of() : things.stream().filter(t -> chance(25)).collect(Collectors.toSet());
    }

    private boolean chance(int percent) {
        return random.nextInt(100) < percent;
    }

    private <T> T pick(List<T> things) {
        return things.get(random.nextInt(things.size()));
    }

    private OptionalInt maybe(int percent, int bound) {
        return chance(percent) ? OptionalInt.of(random.nextInt(bound)) : OptionalInt.empty();
    }

    private <T> List<T> some(List<T> things) {
        List<T> some = new ArrayList<>(things);
        java.util.Collections.shuffle(some, random);
        return some.subList(0, Math.min(some.size(), 1 + random.nextInt(3)));
    }

    private LocalDate date() {
        return middle.plusDays(random.nextInt(7) - 3);
    }

    private LocalTime time() {
        return LocalTime.of(random.nextInt(24), List.of(0, 0, 15, 30, 45).get(random.nextInt(5)));
    }

    private Schedule rarely() {
        return chance(30) ? schedule() : Schedule.always();
    }

    private Window window() {
        int from = List.of(0, 60, 120, 480, 540, 600, 840, 1320, 150).get(random.nextInt(9));
        int to = List.of(1440, 180, 120, 720, 780, 1080, 1200, 0, 360).get(random.nextInt(9));
        Set<OfferId> offers = chance(15) ? Set.of(new OfferId("o" + random.nextInt(3))) : Set.of();
        return new Window(from, to, offers, chance(10));
    }

    private Schedule schedule() {
        List<HoursException> exceptions = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            LocalDate from = date();
            List<Window> windows =
                    chance(40) ? List.of() : chance(50) ? List.of(window()) : List.of(window(), window());
            exceptions.add(new HoursException(from, from.plusDays(random.nextInt(2)), windows));
        }
        if (chance(20)) {
            return Schedule.allDayBut(exceptions);
        }
        List<WeeklyWindow> weekly = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
            EnumSet<DayOfWeek> days = EnumSet.of(pick(List.of(DayOfWeek.values())));
            days.addAll(some(List.of(DayOfWeek.values())));
            weekly.add(new WeeklyWindow(chance(50) ? EnumSet.allOf(DayOfWeek.class) : days, window()));
        }
        return Schedule.of(weekly, exceptions);
    }

    private List<Offer> offers() {
        return IntStream.range(0, 3).mapToObj(i -> offer(new OfferId("o" + i))).toList();
    }

    private Offer offer(OfferId id) {
        // A whole date that is skipped puts two daily sessions on one moment, which is an error.
        boolean timetable = chance(25) && !zone.id().getId().equals("Pacific/Apia");
        boolean shared = timetable || chance(35);
        Sharing sharing = shared
                ? Sharing.of(2 + random.nextInt(6), chance(60) ? Sharing.Fill.FIRST : Sharing.Fill.SPREAD)
                : Sharing.none();
        List<Length> lengths = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(2); i++) {
            int max = shared ? 1 : 1 + random.nextInt(3);
            lengths.add(new Length(
                    new LengthId("l" + i),
                    Minutes.of(List.of(25, 30, 45, 60, 90, 180, 1500).get(random.nextInt(chance(5) ? 7 : 6))),
                    Money.ofMinor(random.nextInt(9000)),
                    1,
                    max));
        }
        Serving serving = timetable || chance(25)
                ? Serving.nobody()
                : chance(70)
                        ? new Serving(
                                Serving.Pick.ANY,
                                some(staff),
                                prices(lengths),
                                chance(70) ? Serving.Assign.LEAST : Serving.Assign.ORDER)
                        : new Serving(Serving.Pick.ALL, some(staff), Map.of());
        List<Use> uses = new ArrayList<>();
        if (chance(65)) {
            for (ResourceId resource : some(resources)) {
                uses.add(new Use(resource, 1 + random.nextInt(2), pick(List.of(Use.Per.values()))));
            }
            if (chance(20)) {
                uses.add(new Use(uses.get(0).resource(), 1, pick(List.of(Use.Per.values()))));
            }
        }
        List<PlaceId> at = places.isEmpty() ? List.of() : some(places);
        Offer.Confirm confirm = chance(30) ? Offer.Confirm.BY_HAND : Offer.Confirm.INSTANT;
        return new Offer(
                id,
                "Offer",
                lengths,
                chance(50) ? Offer.Basis.PERSON : Offer.Basis.BOOKING,
                starts(),
                timetable ? timetable(lengths, at) : null,
                Minutes.of(chance(40) ? random.nextInt(40) : 0),
                Minutes.of(chance(40) ? random.nextInt(40) : 0),
                sharing,
                new Party(1, shared ? sharing.seats() : 1 + random.nextInt(3)),
                serving,
                uses,
                at,
                chance(20) ? schedule() : null,
                bounds(),
                confirm,
                confirm == Offer.Confirm.BY_HAND && chance(60),
                addOns(shared),
                rules(),
                Payment.full(),
                Terms.none(),
                Percent.ZERO);
    }

    private Map<StaffId, Map<LengthId, Money>> prices(List<Length> lengths) {
        return chance(50)
                ? Map.of(pick(staff), Map.of(lengths.get(0).id(), Money.ofMinor(random.nextInt(9000))))
                : Map.of();
    }

    private Starts starts() {
        return switch (random.nextInt(3)) {
            case 0 -> new Starts.At(List.of(0, 150, 630, 840, 1410));
            case 1 -> new Starts.Clock(List.of(30, 45, 60, 50).get(random.nextInt(4)), random.nextInt(3) * 10);
            default -> new Starts.FromWindow(List.of(20, 45, 60, 35).get(random.nextInt(4)));
        };
    }

    private Bounds bounds() {
        return new Bounds(
                Minutes.of(chance(30) ? random.nextInt(3000) : 0),
                maybe(20, 5),
                chance(10) ? date() : null,
                chance(10) ? date() : null,
                maybe(20, 4),
                chance(20) ? OptionalInt.of(random.nextInt(300)) : OptionalInt.empty());
    }

    private List<AddOn> addOns(boolean shared) {
        return chance(50)
                ? List.of(
                        new AddOn(
                                new AddOnId("a0"),
                                "A",
                                Money.ofMinor(500),
                                AddOn.Per.UNIT,
                                3,
                                Minutes.of(shared ? 0 : 15)),
                        new AddOn(
                                new AddOnId("a1"),
                                "B",
                                Money.ofMinor(333),
                                pick(List.of(AddOn.Per.BOOKING, AddOn.Per.PERSON)),
                                1,
                                Minutes.ZERO))
                : List.of();
    }

    private List<PriceRule> rules() {
        List<PriceRule> rules = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            PriceRule.Change change =
                    switch (random.nextInt(3)) {
                        case 0 -> new PriceRule.Change.Share(Percent.of(
                                List.of("-15", "12.5", "33.3", "-100").get(random.nextInt(4))));
                        case 1 -> new PriceRule.Change.Add(Money.ofMinor(random.nextInt(2000) - 1000));
                        default -> new PriceRule.Change.Set(Money.ofMinor(random.nextInt(5000)));
                    };
            rules.add(new PriceRule(
                    change,
                    chance(30) ? OptionalInt.of(random.nextInt(24) * 60) : OptionalInt.empty(),
                    chance(30) ? OptionalInt.of(random.nextInt(24) * 60) : OptionalInt.empty(),
                    chance(30) ? Set.copyOf(some(List.of(DayOfWeek.values()))) : Set.of(),
                    chance(15) ? date() : null,
                    chance(15) ? date() : null,
                    new PriceRule.Range(maybe(15, 100), maybe(15, 100)),
                    new PriceRule.Range(maybe(15, 3), maybe(15, 5)),
                    chance(15) ? Set.of(pick(staff)) : Set.of(),
                    chance(15) && !places.isEmpty() ? Set.of(pick(places)) : Set.of(),
                    chance(15) ? Set.of(new LengthId("l0")) : Set.of()));
        }
        return rules;
    }

    private Timetable timetable(List<Length> lengths, List<PlaceId> at) {
        List<Timetable.Entry> entries = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(2); i++) {
            LocalDate first = date().minusDays(random.nextInt(3) * 7L);
            String day = first.getDayOfWeek().name().substring(0, 2);
            String rule = List.of(
                            "FREQ=DAILY;COUNT=9",
                            "FREQ=WEEKLY;COUNT=4",
                            "FREQ=DAILY;INTERVAL=2",
                            "FREQ=WEEKLY;BYDAY=" + (day.equals("MO") ? "MO,TU" : "MO," + day),
                            "FREQ=DAILY;UNTIL="
                                    + first.plusDays(random.nextInt(20))
                                            .toString()
                                            .replace("-", ""),
                            "FREQ=WEEKLY;INTERVAL=2")
                    .get(random.nextInt(6));
            // Each entry has a minute of its own, so that two sessions never start at one moment and place.
            LocalTime time = LocalTime.of(random.nextInt(24), List.of(1, 31).get(random.nextInt(2)) + i);
            entries.add(new Timetable.Entry(
                    chance(25)
                            ? Recurrence.once(first.atTime(time))
                            : Recurrence.of(first.atTime(time), rule, chance(30) ? Set.of(date()) : Set.of()),
                    pick(lengths),
                    chance(80) ? some(staff) : List.of(),
                    at.isEmpty() ? null : pick(at),
                    chance(30) ? OptionalInt.of(1 + random.nextInt(9)) : OptionalInt.empty()));
        }
        return new Timetable(entries);
    }

    private Booking booking(int number) {
        Offer offer = pick(List.copyOf(house.offers()));
        if (!bookings.isEmpty() && chance(30)) {
            Booking other = pick(bookings);
            return new Booking(
                    new BookingId("b" + number),
                    other.offer(),
                    other.start(),
                    other.minutes(),
                    other.staff(),
                    other.place(),
                    1 + random.nextInt(2),
                    status(),
                    expires(),
                    Map.of());
        }
        long start = zone.minuteOf(
                date().atStartOfDay().plusMinutes(chance(60) ? likelyStart(offer) : random.nextInt(1440)));
        List<StaffId> serving = offer.serving().of().isEmpty()
                ? List.of()
                : List.of(pick(offer.serving().of()));
        if (offer.serving().pick() == Serving.Pick.ALL) {
            serving = offer.serving().of();
        }
        PlaceId place = offer.places().isEmpty() || chance(40) ? null : pick(offer.places());
        if (offer.hasTimetable() && chance(70)) {
            Timetable.Entry entry = pick(offer.timetable().entries());
            long[] starts = entry.startsBetween(middle.minusDays(3), middle.plusDays(3), zone);
            start = starts.length == 0 ? start : starts[random.nextInt(starts.length)];
            place = entry.place();
            serving = entry.staff();
        }
        return new Booking(
                new BookingId("b" + number),
                offer.id(),
                start,
                pick(offer.lengths()).minutes(),
                serving,
                place,
                1 + random.nextInt(2),
                status(),
                expires(),
                Map.of());
    }

    /** A minute of day at which others may start too, so that sessions are joined. */
    private int likelyStart(Offer offer) {
        if (offer.starts() instanceof Starts.At at) {
            return pick(at.minutesOfDay());
        }
        return offer.starts() instanceof Starts.Clock clock
                ? (clock.offset() + clock.every() * (8 + random.nextInt(12))) % 1440
                : 480 + random.nextInt(8) * 60;
    }

    private BookingStatus status() {
        return chance(60) ? BookingStatus.CONFIRMED : pick(List.of(BookingStatus.values()));
    }

    private Instant expires() {
        return now().plusSeconds(random.nextInt(3600) - 1800);
    }

    Instant now() {
        return Interval.instantOf(zone.minuteOf(middle.minusDays(2).atTime(9, 0)))
                .plusSeconds(random.nextInt(2) * 20L);
    }

    /** A question about one of its offers; one in five does not fit it. */
    Query query() {
        Offer offer = pick(List.copyOf(house.offers()));
        LocalDate from = date();
        Map<AddOnId, Integer> addOns = new HashMap<>();
        if (chance(30) && !offer.addOns().isEmpty()) {
            AddOn addOn = pick(offer.addOns());
            addOns.put(addOn.id(), random.nextInt(addOn.max() + 1));
        }
        if (chance(3)) {
            addOns.put(new AddOnId("a" + random.nextInt(3)), random.nextInt(6) - 1);
        }
        Length length = pick(offer.lengths());
        boolean ask = offer.lengths().size() > 1 ? chance(offer.hasTimetable() ? 30 : 95) : chance(30);
        return new Query(
                now().plusSeconds(random.nextInt(3) * 36_000L),
                offer.id(),
                from,
                from.plusDays(random.nextInt(3)),
                chance(2) ? new LengthId("l9") : ask ? length.id() : null,
                chance(85) ? length.minUnits() : 1 + random.nextInt(3),
                chance(90) ? 1 + random.nextInt(offer.party().max()) : random.nextInt(9),
                addOns,
                chance(20) ? pick(staff) : null,
                chance(15) && !places.isEmpty() ? pick(places) : null,
                chance(25) ? Audience.DESK : Audience.GUEST,
                chance(20) && !bookings.isEmpty() ? Set.of(pick(bookings).id()) : Set.of());
    }
}
