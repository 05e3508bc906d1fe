package gastfreund.core.openings;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.Audience;
import gastfreund.core.hours.HoursException;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Schedule;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.PriceRule;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.Serving;
import gastfreund.core.offers.Sharing;
import gastfreund.core.offers.StaffId;
import gastfreund.core.offers.Starts;
import gastfreund.core.offers.Timetable;
import gastfreund.core.offers.Use;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What can be booked and why not, minute by minute, written from docs/openings.md and docs/money.md alone: nothing is
 * clever here, and nothing of the engine is used but the values that describe a house.
 */
public final class Oracle {

    private static final int MARGIN = 12;

    private final House house;
    private final ZoneRules zone;
    private final Query query;
    private final Offer offer;
    private final long base;
    private final int minutes;
    /** What the clock says in each minute, looked up once. */
    private final LocalDateTime[] locals;

    private final List<Sitting> sittings = new ArrayList<>();
    private final List<Busy> busy;
    private final Map<Object, int[]> taken = new HashMap<>();
    private final Map<Schedule, BitSet> open = new HashMap<>();

    /** A session. */
    private static final class Sitting {
        OfferId offer;
        long start;
        long minutes;
        Set<StaffId> staff;
        PlaceId place;
        boolean timetabled;
        int bookings;
        int persons;
        Timetable.Entry entry;
        final List<String> ids = new ArrayList<>();

        int place(Offer of) {
            return ids.isEmpty() ? of.timetable().entries().indexOf(entry) - 1_000_000 : first;
        }

        int first;
    }

    /** One option at one start. */
    private static final class Try {
        List<StaffId> staff;
        PlaceId place;
        Length length;
        long start;
        long minutes;
        int seats;
        Sitting joins;
        boolean contested;
        final List<String> reasons = new ArrayList<>();
    }

    public Oracle(House house, List<Booking> bookings, List<Busy> busy, Query query) {
        this.house = house;
        this.zone = house.zone().id().getRules();
        this.query = query;
        this.offer = house.offer(query.offer()).orElseThrow();
        this.busy = busy;
        this.base = instant(query.from().minusDays(MARGIN).atStartOfDay());
        this.minutes = Math.toIntExact(instant(query.to().plusDays(MARGIN).atStartOfDay()) - base);
        this.locals = new LocalDateTime[minutes];
        gather(bookings);
    }

    // Time

    private long instant(LocalDateTime local) {
        List<ZoneOffset> offsets = zone.getValidOffsets(local);
        if (!offsets.isEmpty()) {
            return offsets.stream()
                    .mapToLong(o -> local.toEpochSecond(o) / 60)
                    .min()
                    .orElseThrow();
        }
        ZoneOffsetTransition gap = zone.getTransition(local);
        return local.plus(gap.getDuration()).toEpochSecond(gap.getOffsetAfter()) / 60;
    }

    private LocalDateTime local(long minute) {
        int at = (int) Math.max(-1, minute - base);
        if (at < 0 || at >= minutes) {
            return looked(minute);
        }
        if (locals[at] == null) {
            locals[at] = looked(minute);
        }
        return locals[at];
    }

    private LocalDateTime looked(long minute) {
        Instant instant = Instant.ofEpochSecond(minute * 60);
        return LocalDateTime.ofEpochSecond(minute * 60, 0, zone.getOffset(instant));
    }

    private LocalDate date(long minute) {
        return local(minute).toLocalDate();
    }

    private LocalDate dateOfNow() {
        return LocalDateTime.ofEpochSecond(query.now().getEpochSecond(), 0, zone.getOffset(query.now()))
                .toLocalDate();
    }

    private boolean asked(long start) {
        return !date(start).isBefore(query.from()) && !date(start).isAfter(query.to());
    }

    // Hours

    private static List<Window> windows(Schedule hours, LocalDate date) {
        List<Window> windows = null;
        for (HoursException exception : hours.exceptions()) {
            if (!date.isBefore(exception.from()) && !date.isAfter(exception.to())) {
                windows = exception.windows();
            }
        }
        if (windows != null) {
            return windows;
        }
        if (hours.weekly().isEmpty()) {
            return List.of(Window.of(0, 1440));
        }
        return hours.weekly().get().stream()
                .filter(w -> w.days().contains(date.getDayOfWeek()))
                .map(w -> w.window())
                .toList();
    }

    private static boolean closed(Schedule hours, LocalDate date) {
        HoursException last = null;
        for (HoursException exception : hours.exceptions()) {
            if (!date.isBefore(exception.from()) && !date.isAfter(exception.to())) {
                last = exception;
            }
        }
        return last != null && last.windows().isEmpty();
    }

    private BitSet open(Schedule hours) {
        return open.computeIfAbsent(hours, h -> {
            BitSet set = new BitSet(minutes);
            for (LocalDate d = query.from().minusDays(MARGIN);
                    !d.isAfter(query.to().plusDays(MARGIN));
                    d = d.plusDays(1)) {
                for (Window w : windows(h, d)) {
                    boolean desk = query.audience() == Audience.DESK;
                    if ((w.offers().isEmpty() || w.offers().contains(offer.id())) && (!w.deskOnly() || desk)) {
                        long from = instant(d.atTime(LocalTime.of(w.from() / 60, w.from() % 60)));
                        LocalDate last = w.to() == 1440 || w.to() <= w.from() ? d.plusDays(1) : d;
                        long to = instant(last.atTime(LocalTime.of(w.to() % 1440 / 60, w.to() % 60)));
                        for (long m = Math.max(from, base); m < to && m < base + minutes; m++) {
                            set.set((int) (m - base));
                        }
                    }
                }
            }
            return set;
        });
    }

    private Map<String, Schedule> layers(List<StaffId> staff, PlaceId place) {
        Map<String, Schedule> layers = new java.util.LinkedHashMap<>();
        if (offer.hours() != null) {
            layers.put("hours:offer", offer.hours());
        } else {
            layers.put("hours:house", house.hours());
        }
        if (place != null) {
            layers.put("hours:place:" + place, house.place(place).hours());
        }
        staff.forEach(s -> layers.put("hours:staff:" + s, house.staff(s).hours()));
        offer.uses()
                .forEach(u -> layers.put(
                        "hours:resource:" + u.resource(),
                        house.resource(u.resource()).hours()));
        return layers;
    }

    // Commitments

    private void gather(List<Booking> bookings) {
        for (Offer o : house.offers()) {
            if (o.hasTimetable()) {
                for (Timetable.Entry entry : o.timetable().entries()) {
                    for (long start : occurrences(entry)) {
                        Sitting sitting = sitting(
                                o,
                                start,
                                entry.length().minutes().count(),
                                new HashSet<>(entry.staff()),
                                entry.place());
                        sitting.timetabled = true;
                        sitting.entry = entry;
                    }
                }
            }
        }
        for (Booking b : bookings) {
            boolean live =
                    switch (b.status()) {
                        case REQUESTED, CONFIRMED, COMPLETED, NO_SHOW -> true;
                        case HELD -> b.expires().isAfter(query.now());
                        case CANCELLED, DECLINED, LAPSED -> false;
                    };
            if (live && !query.without().contains(b.id())) {
                Offer o = house.offer(b.offer()).orElseThrow();
                PlaceId place = b.place() != null
                        ? b.place()
                        : o.places().isEmpty() ? null : o.places().get(0);
                Sitting sitting = find(o, b, place);
                if (sitting == null) {
                    sitting = sitting(o, b.start(), b.minutes().count(), new HashSet<>(b.staff()), place);
                }
                sitting.bookings++;
                sitting.first = sitting.ids.isEmpty() ? bookings.indexOf(b) : sitting.first;
                sitting.ids.add(b.id().value());
                sitting.persons += b.party();
            }
        }
        sittings.removeIf(
                s -> s.timetabled && s.bookings == 0 && house.retired().offers().contains(s.offer));
        for (Sitting s : sittings) {
            Offer o = house.offer(s.offer).orElseThrow();
            Map<Object, Integer> units = new HashMap<>();
            for (Use use : o.uses()) {
                int times =
                        switch (use.per()) {
                            case SESSION -> 1;
                            case BOOKING -> s.bookings;
                            case PERSON -> s.persons;
                        };
                units.merge(use.resource(), use.units() * times, Integer::sum);
            }
            if (o.uses().isEmpty() && o.serving().of().isEmpty()) {
                units.put(List.of(o.id(), String.valueOf(s.place)), 1);
            }
            units.forEach((resource, n) -> {
                int[] level = taken.computeIfAbsent(resource, r -> new int[minutes]);
                for (long m = begins(s); m < ends(s); m++) {
                    if (m >= base && m < base + minutes) {
                        level[(int) (m - base)] += n;
                    }
                }
            });
        }
    }

    private Sitting sitting(Offer o, long start, long length, Set<StaffId> staff, PlaceId place) {
        Sitting sitting = new Sitting();
        sitting.offer = o.id();
        sitting.start = start;
        sitting.minutes = length;
        sitting.staff = staff;
        sitting.place = place;
        sittings.add(sitting);
        return sitting;
    }

    private Sitting find(Offer o, Booking b, PlaceId place) {
        if (!o.sharing().shared()) {
            return null;
        }
        for (Sitting s : sittings) {
            boolean there = s.offer.equals(o.id()) && s.start == b.start() && Objects.equals(s.place, place);
            if (there && (s.timetabled || s.minutes == b.minutes().count() && s.staff.equals(Set.copyOf(b.staff())))) {
                return s;
            }
        }
        return null;
    }

    private long begins(Sitting s) {
        return s.start - house.offer(s.offer).orElseThrow().prep().count();
    }

    private long ends(Sitting s) {
        return s.start + s.minutes + house.offer(s.offer).orElseThrow().reset().count();
    }

    /** Daily and weekly rules, with INTERVAL, BYDAY, COUNT and UNTIL, date by date. */
    private List<Long> occurrences(Timetable.Entry entry) {
        LocalDateTime start = entry.times().start();
        List<LocalDateTime> locals = new ArrayList<>();
        if (entry.times().rule().isEmpty()) {
            locals.add(start);
        } else {
            Map<String, String> parts = new TreeMap<>();
            for (String part : entry.times().rule().get().split(";")) {
                parts.put(part.split("=")[0], part.split("=")[1]);
            }
            int interval = Integer.parseInt(parts.getOrDefault("INTERVAL", "1"));
            int count = Integer.parseInt(parts.getOrDefault("COUNT", "100000"));
            boolean weekly = parts.get("FREQ").equals("WEEKLY");
            Set<String> days =
                    parts.containsKey("BYDAY") ? Set.of(parts.get("BYDAY").split(",")) : null;
            LocalDate monday = start.toLocalDate().with(java.time.DayOfWeek.MONDAY);
            LocalDate last = query.to().plusDays(MARGIN);
            for (LocalDate d = start.toLocalDate(); !d.isAfter(last) && locals.size() < count; d = d.plusDays(1)) {
                String day = d.getDayOfWeek().name().substring(0, 2);
                boolean dayFits =
                        days != null ? days.contains(day) : !weekly || d.getDayOfWeek() == start.getDayOfWeek();
                long steps = weekly
                        ? java.time.temporal.ChronoUnit.DAYS.between(monday, d) / 7
                        : java.time.temporal.ChronoUnit.DAYS.between(start.toLocalDate(), d);
                boolean until = parts.containsKey("UNTIL")
                        && d.isAfter(
                                LocalDate.parse(parts.get("UNTIL"), java.time.format.DateTimeFormatter.BASIC_ISO_DATE));
                if (dayFits && steps % interval == 0 && !until) {
                    locals.add(d.atTime(start.toLocalTime()));
                }
            }
        }
        return locals.stream()
                .filter(l -> !entry.times().without().contains(l.toLocalDate()))
                .map(this::instant)
                .toList();
    }

    // The question

    private String refusal() {
        int seats = offer.sharing().shared() ? offer.sharing().seats() : 1;
        if (offer.hasTimetable()) {
            seats = Math.max(seats, offer.timetable().mostSeats());
        }
        boolean timetable = offer.hasTimetable();
        if (house.retired().offers().contains(offer.id())) {
            return "retired";
        }
        if (query.party() < offer.party().min()
                || query.party() > Math.min(offer.party().max(), 1_000_000)) {
            return "party";
        }
        Length length = offer.lengths().stream()
                .filter(l -> l.id().equals(query.length()))
                .findFirst()
                .orElse(null);
        if (query.length() != null && length == null) {
            return "length";
        }
        if (query.length() == null && offer.lengths().size() > 1 && !timetable) {
            return "length";
        }
        Length sold = length != null ? length : offer.lengths().get(0);
        if (query.units() < sold.minUnits() || query.units() > sold.maxUnits()) {
            return "units";
        }
        for (var wanted : query.addOns().entrySet()) {
            AddOn addOn = offer.addOns().stream()
                    .filter(a -> a.id().equals(wanted.getKey()))
                    .findFirst()
                    .orElse(null);
            if (addOn == null || wanted.getValue() < 0 || wanted.getValue() > addOn.max()) {
                return "add-on";
            }
        }
        boolean serves = query.staff() == null
                || (timetable
                        ? offer.timetable().entries().stream()
                                .anyMatch(e -> e.staff().contains(query.staff()))
                        : offer.serving().of().contains(query.staff())
                                && !house.retired().staff().contains(query.staff()));
        if (!serves) {
            return "staff";
        }
        boolean gone = query.place() != null && house.retired().places().contains(query.place());
        boolean nowhere = !offer.places().isEmpty() && house.retired().places().containsAll(offer.places());
        if (gone || nowhere) {
            return "place";
        }
        boolean there = query.place() == null
                || offer.places().contains(query.place())
                || timetable
                        && offer.timetable().entries().stream().anyMatch(e -> Objects.equals(e.place(), query.place()));
        return there ? null : "place";
    }

    /** Every option at every candidate start, judged. */
    private List<Try> tries() {
        List<Try> tries = new ArrayList<>();
        if (offer.hasTimetable()) {
            for (Timetable.Entry entry : offer.timetable().entries()) {
                boolean fits = (query.length() == null
                                || query.length().equals(entry.length().id()))
                        && (query.place() == null || query.place().equals(entry.place()))
                        && (query.staff() == null || entry.staff().contains(query.staff()))
                        && (entry.place() == null || !house.retired().places().contains(entry.place()));
                for (long start : fits ? occurrences(entry) : List.<Long>of()) {
                    if (asked(start)) {
                        Try t = attempt(
                                entry.staff(),
                                entry.place(),
                                entry.length(),
                                start,
                                entry.length().minutes().count());
                        t.seats = entry.seats().orElse(offer.sharing().seats());
                        t.joins = sittings.stream()
                                .filter(s -> s.timetabled
                                        && s.offer.equals(offer.id())
                                        && s.start == start
                                        && Objects.equals(s.place, entry.place()))
                                .findFirst()
                                .orElseThrow();
                        tries.add(t);
                    }
                }
            }
            tries.forEach(this::judgeTimetable);
            return tries;
        }
        Length length = query.length() == null
                ? offer.lengths().get(0)
                : offer.length(query.length()).orElseThrow();
        long time = length.minutes().count() * query.units();
        for (AddOn addOn : offer.addOns()) {
            time += addOn.minutes().count() * query.addOns().getOrDefault(addOn.id(), 0);
        }
        PlaceId place = placeOfQuery();
        for (List<StaffId> staff : options()) {
            for (long start : starts(staff, place)) {
                Try t = attempt(staff, place, length, start, time);
                t.seats = offer.sharing().seats();
                if (offer.sharing().shared()) {
                    long minutesOfTime = time;
                    t.joins = sittings.stream()
                            .filter(s -> s.offer.equals(offer.id())
                                    && s.start == start
                                    && s.minutes == minutesOfTime
                                    && s.staff.equals(new HashSet<>(staff))
                                    && Objects.equals(s.place, place))
                            .findFirst()
                            .orElse(null);
                }
                judge(t);
                tries.add(t);
            }
        }
        if (offer.sharing().shared() && offer.sharing().fill() == Sharing.Fill.FIRST) {
            Set<Long> filling = new HashSet<>();
            tries.stream().filter(t -> t.joins != null && t.reasons.isEmpty()).forEach(t -> filling.add(t.start));
            tries.stream()
                    .filter(t -> t.joins == null && filling.contains(t.start))
                    .forEach(t -> t.reasons.add("fill"));
        }
        return tries;
    }

    private PlaceId placeOfQuery() {
        if (query.place() != null) {
            return query.place();
        }
        for (PlaceId listed : offer.places()) {
            if (!house.retired().places().contains(listed)) {
                return listed;
            }
        }
        return null;
    }

    private Try attempt(List<StaffId> staff, PlaceId place, Length length, long start, long time) {
        Try t = new Try();
        t.staff = staff;
        t.place = place;
        t.length = length;
        t.start = start;
        t.minutes = time;
        return t;
    }

    private List<List<StaffId>> options() {
        List<List<StaffId>> options = new ArrayList<>();
        if (offer.serving().pick() == Serving.Pick.ANY) {
            offer.serving().of().forEach(s -> options.add(List.of(s)));
        } else {
            options.add(offer.serving().of());
        }
        options.removeIf(o -> query.staff() != null && !o.contains(query.staff()));
        options.removeIf(o -> o.stream().anyMatch(house.retired().staff()::contains));
        return options;
    }

    private TreeSet<Long> starts(List<StaffId> staff, PlaceId place) {
        TreeSet<Long> starts = new TreeSet<>();
        if (offer.starts() instanceof Starts.FromWindow window) {
            BitSet all = new BitSet(minutes);
            all.set(0, minutes);
            layers(staff, place).values().forEach(h -> all.and(open(h)));
            for (int from = all.nextSetBit(0); from >= 0; from = all.nextSetBit(all.nextClearBit(from))) {
                int to = all.nextClearBit(from);
                long piece = base + from;
                boolean cut = to - from > 1440;
                for (long m = base + from; m < base + to; m++) {
                    if (cut && !date(m).equals(date(m - 1)) && m == instant(date(m).atStartOfDay())) {
                        piece = m;
                    }
                    if ((m - piece) % window.every() == 0) {
                        starts.add(m);
                    }
                }
            }
        } else {
            for (LocalDate d = query.from(); !d.isAfter(query.to()); d = d.plusDays(1)) {
                for (int m = 0; m < 1440; m++) {
                    LocalDateTime time = d.atTime(m / 60, m % 60);
                    boolean candidate = offer.starts() instanceof Starts.At at
                            ? at.minutesOfDay().contains(m)
                            : Math.floorMod(
                                            m - ((Starts.Clock) offer.starts()).offset(),
                                            ((Starts.Clock) offer.starts()).every())
                                    == 0;
                    if (candidate && !zone.getValidOffsets(time).isEmpty()) {
                        starts.add(instant(time));
                    }
                }
            }
        }
        starts.removeIf(s -> !asked(s));
        return starts;
    }

    private void judgeDates(Try t) {
        Instant start = Instant.ofEpochSecond(t.start * 60);
        LocalDate date = date(t.start);
        if (query.audience() == Audience.GUEST) {
            if (start.isBefore(query.now())) {
                t.reasons.add("past");
            } else if (start.isBefore(
                    query.now().plus(Duration.ofMinutes(offer.bounds().notice().count())))) {
                t.reasons.add("notice");
            }
            var horizon = offer.bounds().horizonDays();
            if (horizon.isPresent() && date.isAfter(dateOfNow().plusDays(horizon.getAsInt()))) {
                t.reasons.add("horizon");
            }
            LocalDate from = offer.bounds().seasonFrom();
            LocalDate to = offer.bounds().seasonTo();
            if (from != null && date.isBefore(from) || to != null && date.isAfter(to)) {
                t.reasons.add("season");
            }
        }
        if (closed(house.hours(), date)) {
            t.reasons.add("closed");
        }
    }

    private void judgeFull(Try t) {
        Set<ResourceId> named = new LinkedHashSet<>();
        offer.uses().forEach(u -> named.add(u.resource()));
        for (ResourceId resource : named) {
            int needed = needed(resource, t, query.party());
            boolean gone = house.retired().resources().contains(resource);
            if (needed > 0
                    && (gone
                            || most(resource, t) + needed
                                    > house.resource(resource).units())) {
                t.reasons.add("full:resource:" + resource);
            }
        }
        if (!offer.hasTimetable()
                && offer.uses().isEmpty()
                && offer.serving().of().isEmpty()
                && t.joins == null
                && most(List.of(offer.id(), String.valueOf(t.place)), t) + 1 > 1) {
            t.reasons.add("full:offer");
        }
    }

    private int needed(ResourceId resource, Try t, int persons) {
        int needed = 0;
        for (Use use : offer.uses()) {
            if (use.resource().equals(resource)) {
                needed += switch (use.per()) {
                    case SESSION -> t.joins == null ? use.units() : 0;
                    case BOOKING -> use.units();
                    case PERSON -> use.units() * persons;
                };
            }
        }
        return needed;
    }

    private int most(Object resource, Try t) {
        int[] level = taken.get(resource);
        int most = 0;
        long from = t.start - offer.prep().count();
        long to = t.start + t.minutes + offer.reset().count();
        for (long m = from; m < to && level != null; m++) {
            most = Math.max(most, level[(int) (m - base)]);
        }
        return most;
    }

    private void judgeSeats(Try t) {
        if (offer.sharing().shared() && t.seats - (t.joins == null ? 0 : t.joins.persons) < query.party()) {
            t.reasons.add("seats");
        }
    }

    private void judgeTimetable(Try t) {
        judgeDates(t);
        layers(t.staff, t.place).forEach((code, hours) -> {
            if (!code.equals("hours:house") && !code.equals("hours:offer") && closed(hours, date(t.start))) {
                t.reasons.add(code);
            }
        });
        judgeFull(t);
        judgeSeats(t);
    }

    private void judge(Try t) {
        judgeDates(t);
        layers(t.staff, t.place).forEach((code, hours) -> {
            BitSet set = open(hours);
            for (long m = t.start; m < t.start + t.minutes; m++) {
                if (!set.get((int) (m - base))) {
                    t.reasons.add(code);
                    return;
                }
            }
        });
        long from = t.start - offer.prep().count();
        long to = t.start + t.minutes + offer.reset().count();
        for (StaffId person : t.staff) {
            boolean outside = busy.stream()
                    .anyMatch(b -> b.staff().equals(person)
                            && Math.max(from, b.interval().start())
                                    < Math.min(to, b.interval().end()));
            boolean booked = false;
            for (Sitting s : sittings) {
                if (s != t.joins && s.staff.contains(person) && Math.max(from, begins(s)) < Math.min(to, ends(s))) {
                    outside |= s.timetabled;
                    booked = true;
                }
            }
            if (outside || booked && !offer.contested()) {
                t.reasons.add("busy:staff:" + person);
            }
            t.contested |= booked && !outside && offer.contested();
        }
        judgeFull(t);
        if (query.audience() == Audience.GUEST && t.joins == null) {
            judgeLimits(t);
        }
        judgeSeats(t);
    }

    private void judgeLimits(Try t) {
        int sessions = 0;
        long time = 0;
        for (Sitting s : sittings) {
            if (s.offer.equals(offer.id()) && date(s.start).equals(date(t.start))) {
                sessions++;
                time += s.minutes;
            }
        }
        var perDay = offer.bounds().perDay();
        var minutesPerDay = offer.bounds().minutesPerDay();
        if (perDay.isPresent() && sessions >= perDay.getAsInt()) {
            t.reasons.add("day-limit");
        }
        if (minutesPerDay.isPresent() && time + t.minutes > minutesPerDay.getAsInt()) {
            t.reasons.add("day-minutes");
        }
        for (StaffId person : t.staff) {
            long served = sittings.stream()
                    .filter(s -> s.staff.contains(person) && date(s.start).equals(date(t.start)))
                    .count();
            var most = house.staff(person).maxPerDay();
            if (most.isPresent() && served >= most.getAsInt()) {
                t.reasons.add("staff-day-limit:" + person);
            }
        }
    }

    // Left and price

    private int left(Try t) {
        Set<ResourceId> resources = new LinkedHashSet<>();
        offer.uses().forEach(u -> resources.add(u.resource()));
        if (offer.sharing().shared()) {
            int left = t.seats - (t.joins == null ? 0 : t.joins.persons);
            for (ResourceId resource : resources) {
                int perPerson = needed(resource, t, 1) - needed(resource, t, 0);
                if (perPerson > 0) {
                    int free = house.resource(resource).units() - most(resource, t) - needed(resource, t, 0);
                    left = Math.min(left, Math.floorDiv(free, perPerson));
                }
            }
            return left;
        }
        if (!t.staff.isEmpty() || resources.isEmpty()) {
            return 1;
        }
        int left = Integer.MAX_VALUE;
        for (ResourceId resource : resources) {
            int needed = needed(resource, t, query.party());
            if (needed > 0) {
                left = Math.min(left, (house.resource(resource).units() - most(resource, t)) / needed);
            }
        }
        return left == Integer.MAX_VALUE ? 1 : left;
    }

    private long price(Try t) {
        long sum = 0;
        for (int unit = 0; unit < query.units(); unit++) {
            long price = t.length.price().minor();
            if (!offer.hasTimetable() && offer.serving().pick() == Serving.Pick.ANY) {
                var own = offer.serving()
                        .prices()
                        .getOrDefault(t.staff.get(0), Map.of())
                        .get(t.length.id());
                price = own == null ? price : own.minor();
            }
            for (PriceRule rule : offer.priceRules()) {
                if (holds(rule, t, local(t.start + unit * t.length.minutes().count()))) {
                    price = Math.max(0, changed(rule.change(), price));
                }
            }
            sum += price;
        }
        if (offer.basis() == Offer.Basis.PERSON) {
            sum *= query.party();
        }
        for (AddOn addOn : offer.addOns()) {
            long quantity = query.addOns().getOrDefault(addOn.id(), 0);
            sum += addOn.price().minor() * quantity * (addOn.per() == AddOn.Per.PERSON ? query.party() : 1);
        }
        return sum;
    }

    private static long changed(PriceRule.Change change, long price) {
        if (change instanceof PriceRule.Change.Share share) {
            return price
                    + share.percent()
                            .value()
                            .multiply(BigDecimal.valueOf(price))
                            .divide(BigDecimal.valueOf(100))
                            .setScale(0, RoundingMode.HALF_UP)
                            .longValueExact();
        }
        return change instanceof PriceRule.Change.Add add
                ? price + add.amount().minor()
                : ((PriceRule.Change.Set) change).amount().minor();
    }

    private boolean holds(PriceRule rule, Try t, LocalDateTime begins) {
        int m = begins.getHour() * 60 + begins.getMinute();
        LocalDate date = begins.toLocalDate();
        int from = rule.from().orElse(0);
        int to = rule.to().orElse(1440);
        if (rule.from().isPresent() && rule.to().isPresent() && to <= from) {
            if (m >= to && m < from) {
                return false;
            }
            date = m < to ? date.minusDays(1) : date;
        } else if (m < from || m >= to) {
            return false;
        }
        Duration ahead = Duration.between(query.now(), Instant.ofEpochSecond(t.start * 60));
        return (rule.days().isEmpty() || rule.days().contains(date.getDayOfWeek()))
                && (rule.firstDate() == null || !date.isBefore(rule.firstDate()))
                && (rule.lastDate() == null || !date.isAfter(rule.lastDate()))
                && (rule.hoursAhead().atLeast().isEmpty()
                        || ahead.compareTo(Duration.ofHours(
                                        rule.hoursAhead().atLeast().getAsInt()))
                                >= 0)
                && (rule.hoursAhead().lessThan().isEmpty()
                        || ahead.compareTo(Duration.ofHours(
                                        rule.hoursAhead().lessThan().getAsInt()))
                                < 0)
                && query.party() >= rule.party().atLeast().orElse(0)
                && query.party() < rule.party().lessThan().orElse(Integer.MAX_VALUE)
                && (rule.staff().isEmpty() || t.staff.stream().anyMatch(rule.staff()::contains))
                && (rule.places().isEmpty() || t.place != null && rule.places().contains(t.place))
                && (rule.lengths().isEmpty() || rule.lengths().contains(t.length.id()));
    }

    // Clashes

    /** A session that does not fit, with what orders it among others. */
    record Unfit(long start, long end, int offer, int place, String line) {}

    /** The sessions of the query's offer that start on its dates and do not fit. */
    List<Unfit> unfit() {
        List<Unfit> unfit = new ArrayList<>();
        for (Sitting s : sittings) {
            Instant end = Instant.ofEpochSecond((s.start + s.minutes) * 60);
            if (s.offer.equals(offer.id()) && asked(s.start) && end.isAfter(query.now())) {
                List<String> reasons = against(s);
                if (!reasons.isEmpty()) {
                    List<String> staff = serving(s).stream().map(StaffId::value).toList();
                    unfit.add(new Unfit(
                            s.start,
                            s.start + s.minutes,
                            List.copyOf(house.offers()).indexOf(offer),
                            s.place(offer),
                            s.offer + " " + s.start + "+" + s.minutes + " " + s.place + " " + staff + " " + s.ids + " "
                                    + reasons));
                }
            }
        }
        return unfit;
    }

    private List<StaffId> serving(Sitting s) {
        return house.staff().stream().map(p -> p.id()).filter(s.staff::contains).toList();
    }

    private List<String> against(Sitting s) {
        List<String> reasons = new ArrayList<>();
        if (closed(house.hours(), date(s.start))) {
            reasons.add("closed");
        }
        layers(serving(s), s.place).forEach((code, hours) -> {
            boolean whole = code.equals("hours:house") || code.equals("hours:offer");
            boolean out = false;
            for (long m = s.start; m < s.start + s.minutes; m++) {
                out |= !open(hours).get((int) (m - base));
            }
            if (offer.hasTimetable() ? !whole && closed(hours, date(s.start)) : out) {
                reasons.add(code);
            }
        });
        for (StaffId person : serving(s)) {
            boolean other = sittings.stream()
                    .anyMatch(o -> o != s
                            && o.staff.contains(person)
                            && Math.max(begins(s), begins(o)) < Math.min(ends(s), ends(o)));
            boolean outside = busy.stream()
                    .anyMatch(b -> b.staff().equals(person)
                            && Math.max(begins(s), b.interval().start())
                                    < Math.min(ends(s), b.interval().end()));
            if (other || outside) {
                reasons.add("busy:staff:" + person);
            }
        }
        for (var resource : house.resources()) {
            int own = offer.uses().stream()
                    .filter(u -> u.resource().equals(resource.id()))
                    .mapToInt(u -> u.units()
                            * switch (u.per()) {
                                case SESSION -> 1;
                                case BOOKING -> s.bookings;
                                case PERSON -> s.persons;
                            })
                    .sum();
            if (own > 0 && mostDuring(resource.id(), s) > resource.units()) {
                reasons.add("full:resource:" + resource.id());
            }
        }
        boolean implied = !offer.hasTimetable()
                && offer.uses().isEmpty()
                && offer.serving().of().isEmpty();
        if (implied && mostDuring(List.of(offer.id(), String.valueOf(s.place)), s) > 1) {
            reasons.add("full:offer");
        }
        int seats = s.entry != null && s.entry.seats().isPresent()
                ? s.entry.seats().getAsInt()
                : offer.sharing().seats();
        if (offer.sharing().shared() && seats > 0 && s.persons > seats) {
            reasons.add("seats");
        }
        return reasons;
    }

    private int mostDuring(Object resource, Sitting s) {
        int[] level = taken.get(resource);
        int most = 0;
        for (long m = begins(s); m < ends(s) && level != null; m++) {
            most = Math.max(most, level[(int) (m - base)]);
        }
        return most;
    }

    /** How long a person serves guests in the week of a start. */
    long minutesInWeek(StaffId person, long start) {
        LocalDate monday = date(start).with(java.time.DayOfWeek.MONDAY);
        return sittings.stream()
                .filter(s -> s.staff.contains(person))
                .filter(s -> !date(s.start).isBefore(monday) && date(s.start).isBefore(monday.plusDays(7)))
                .mapToLong(s -> s.minutes)
                .sum();
    }

    /** What is on sale, as lines of text: of a timetable its place and start, else with the length. */
    Set<String> onSale() {
        Set<String> onSale = new HashSet<>();
        if (refusal() == null) {
            for (Try t : tries()) {
                if (t.reasons.isEmpty()) {
                    onSale.add((offer.hasTimetable() ? "timetable " : t.length.id() + " ") + t.place + " " + t.start);
                }
            }
        }
        return onSale;
    }

    // Answers, as lines of text

    List<String> explained() {
        return lines(tries -> tries.staff + " " + tries.place + " " + tries.reasons, false);
    }

    public List<String> openings() {
        return lines(
                t -> t.staff + " " + t.place + " left " + left(t) + " at " + price(t)
                        + (t.contested ? " contested" : ""),
                true);
    }

    private List<String> lines(java.util.function.Function<Try, String> line, boolean openOnly) {
        String refusal = refusal();
        if (refusal != null) {
            return List.of("refused: " + refusal);
        }
        List<String> lines = new ArrayList<>();
        tries().stream()
                .filter(t -> !openOnly || t.reasons.isEmpty())
                .sorted((a, b) ->
                        a.start != b.start ? Long.compare(a.start, b.start) : Long.compare(a.minutes, b.minutes))
                .forEach(t -> lines.add(t.start + "+" + t.minutes + " " + line.apply(t)));
        return lines;
    }

    /** The engine's answer in the same lines. */
    static List<String> lines(Answer answer, boolean openOnly) {
        if (answer.refusal() != null) {
            return List.of("refused: " + answer.refusal().code());
        }
        List<String> lines = new ArrayList<>();
        for (Answer.Entry entry : answer.entries()) {
            for (Answer.Judged option : entry.options()) {
                String head = entry.time().start() + "+" + entry.time().length().count() + " " + option.staff() + " "
                        + option.place() + " ";
                lines.add(head
                        + (openOnly
                                ? "left " + option.opening().left() + " at "
                                        + option.opening().price().minor()
                                        + (option.opening().contested() ? " contested" : "")
                                : option.reasons().stream().map(Reason::code).toList()));
            }
        }
        return lines;
    }
}
