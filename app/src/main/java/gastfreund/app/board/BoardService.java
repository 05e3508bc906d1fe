package gastfreund.app.board;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.Use;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Draws the board and the ruler of days. */
@Service
class BoardService {

    private static final int TOP = 44;
    private static final int STAFF_LANE = 84;
    private static final int LANE_GAP = 14;
    private static final int POOL_HEIGHT = 84;
    private static final int FIRST_HOUR = 8;
    private static final int LAST_HOUR = 21;
    private static final int NARROW = 76;
    private static final int TICK = 30;
    private static final int FULL = 34;

    private final BoardStore store;
    private final CatalogueService catalogues;
    private final Clock clock;

    private final BoardClashes clashes;

    BoardService(BoardStore store, CatalogueService catalogues, BoardClashes clashes, Clock clock) {
        this.store = store;
        this.clashes = clashes;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    /**
     * The board of a day.
     *
     * @param selected the id of the booking that is selected; null: none
     * @param sees which bookings are shown with their guests
     */
    Board board(LocalDate day, @Nullable String selected, Predicate<BoardBooking> sees, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        Days days = Days.between(catalogue.zone(), day.minusDays(1), day);
        Interval whole = Interval.between(days.start(1), days.start(2));
        Instant now = clock.instant();
        List<BoardBooking> bookings = new ArrayList<>();
        for (BoardBooking booking : store.between(whole, now)) {
            bookings.add(sees.test(booking) ? booking : booking.hidden(f.text("board.taken"), bookings.size()));
        }
        Map<Schedule, IntervalSet> open = new HashMap<>();
        house.staff().forEach(s -> open.put(s.hours(), s.hours().openTime(days)));
        house.resources().forEach(r -> open.put(r.hours(), r.hours().openTime(days)));
        open.put(house.hours(), house.hours().openTime(days));
        Scale scale = new Scale(shown(whole, open, bookings, house));
        BoardClashes.OfDay clashing = clashes.of(day, catalogue, now, f);

        int y = TOP;
        List<Board.StaffLane> staff = new ArrayList<>();
        for (Staff person : house.staff()) {
            IntervalSet hours =
                    open.getOrDefault(person.hours(), IntervalSet.empty()).within(whole);
            List<Board.Block> blocks = blocks(person, bookings, clashing.reasons(), catalogue, scale, selected, f);
            staff.add(new Board.StaffLane(
                    person.id().value(),
                    person.name(),
                    hours.intervals(),
                    y,
                    scale.ground(hours),
                    scale.ground(clashing.busy().getOrDefault(person.id(), IntervalSet.empty())),
                    blocks));
            y += STAFF_LANE + LANE_GAP;
        }
        List<Board.ResourceLane> resources = new ArrayList<>();
        for (Resource resource : house.resources()) {
            IntervalSet hours = open.getOrDefault(resource.hours(), IntervalSet.empty())
                    .intersect(open.getOrDefault(house.hours(), IntervalSet.empty()));
            resources.add(pool(
                    resource, bookings, clashing.reasons(), catalogue, scale, scale.ground(hours), y, selected, f));
            y += POOL_HEIGHT + LANE_GAP;
        }
        long minute = Interval.firstMinuteFrom(now);
        boolean isToday = scale.shown().encloses(Interval.between(minute, minute));
        int holds = (int)
                bookings.stream().filter(b -> b.status() == BookingStatus.HELD).count();
        return new Board(
                day,
                scale.shown(),
                y,
                hours(scale, catalogue),
                staff,
                resources,
                isToday ? scale.x(minute) : null,
                bookings.size() - holds,
                holds);
    }

    /** From the first to the last hour in which somebody is there or something is booked; the usual day where that is less. */
    private static Interval shown(
            Interval whole, Map<Schedule, IntervalSet> open, List<BoardBooking> bookings, House house) {
        long first = whole.start() + FIRST_HOUR * 60L;
        long last = whole.start() + LAST_HOUR * 60L;
        List<Interval> all = new ArrayList<>();
        for (Staff person : house.staff()) {
            all.addAll(open.getOrDefault(person.hours(), IntervalSet.empty())
                    .within(whole)
                    .intervals());
        }
        // What runs over midnight is cut off at the edge, so that the usual day keeps its width.
        bookings.stream().map(BoardBooking::time).filter(whole::encloses).forEach(all::add);
        for (Interval interval : all) {
            first = Math.min(first, Math.max(whole.start(), interval.start()));
            last = Math.max(last, Math.min(whole.end(), interval.end()));
        }
        long hoursBefore = (first - whole.start()) / 60;
        long hoursUntil = (last - whole.start() + 59) / 60;
        return Interval.between(whole.start() + hoursBefore * 60, whole.start() + hoursUntil * 60);
    }

    private static List<Board.Hour> hours(Scale scale, Catalogue catalogue) {
        List<Board.Hour> hours = new ArrayList<>();
        for (long t = scale.shown().start(); t <= scale.shown().end(); t += 60) {
            hours.add(new Board.Hour(scale.x(t), catalogue.zone().localOf(t).getHour()));
        }
        return hours;
    }

    /** The blocks of a person: one for each session, bookings that share it together. */
    private static List<Board.Block> blocks(
            Staff person,
            List<BoardBooking> bookings,
            Map<String, String> clashing,
            Catalogue catalogue,
            Scale scale,
            @Nullable String selected,
            Formats f) {
        Map<Object, List<BoardBooking>> sessions = new LinkedHashMap<>();
        for (BoardBooking booking : bookings) {
            if (booking.staff().contains(person.id())) {
                boolean shared = catalogue.offer(booking.offer()).sharing().shared();
                Object key = shared ? List.of(booking.offer(), booking.time()) : booking.id();
                sessions.computeIfAbsent(key, k -> new ArrayList<>()).add(booking);
            }
        }
        List<Board.Block> blocks = new ArrayList<>();
        for (List<BoardBooking> session : sessions.values()) {
            BoardBooking shown = session.stream()
                    .filter(b -> b.id().equals(selected))
                    .findFirst()
                    .orElse(session.get(0));
            Offer offer = catalogue.offer(shown.offer());
            Interval taken = shown.time().widened(offer.prep(), offer.reset());
            if (scale.shows(taken)) {
                int x = scale.x(shown.time().start());
                int width = scale.x(shown.time().end()) - x;
                int party = session.stream().mapToInt(BoardBooking::party).sum();
                String title = title(shown, offer, f);
                String clash = clashing.getOrDefault(shown.id(), "");
                blocks.add(new Board.Block(
                        shown,
                        catalogue.shelfOf(offer.id()).tone(),
                        signed(catalogue.shelfOf(offer.id()).sign(), label(shown, offer, title, party, width < NARROW)),
                        state(shown, offer, party, f),
                        title + ", " + offer.title() + ", " + f.times(shown.time())
                                + (clash.isEmpty() ? "" : ". " + f.text("board.clashes", clash)),
                        clash,
                        x,
                        width,
                        scale.x(taken.start()),
                        scale.x(taken.end()),
                        session.stream().anyMatch(b -> b.id().equals(selected))));
            }
        }
        return blocks;
    }

    /** The guest's name, or the offer's where several share it. */
    private static String title(BoardBooking booking, Offer offer, Formats f) {
        if (offer.sharing().shared()) {
            return offer.title();
        }
        return booking.guest() == null ? f.text("board.kept") : booking.guest();
    }

    private static String signed(String sign, String label) {
        return sign.isEmpty() ? label : sign + " " + label;
    }

    private static String label(BoardBooking booking, Offer offer, String title, int party, boolean narrow) {
        if (offer.sharing().shared() || booking.guest() == null) {
            return title;
        }
        return narrow ? title.split(" ")[0] : title + ", " + party;
    }

    private static String state(BoardBooking booking, Offer offer, int party, Formats f) {
        if (offer.sharing().seats() > 0) {
            return f.text("board.seats", party, offer.sharing().seats());
        }
        if (booking.expires() != null && booking.status() == BookingStatus.HELD) {
            return f.text("board.keptUntil", f.time(booking.expires()));
        }
        if (booking.paid().compareTo(booking.total()) >= 0) {
            return f.text("board.paid");
        }
        return f.text(booking.paid().isPositive() ? "board.deposit" : "board.unpaid");
    }

    /** A pooled resource: every unit that a booking takes is a cell in the lowest row that is free for it. */
    private static Board.ResourceLane pool(
            Resource resource,
            List<BoardBooking> bookings,
            Map<String, String> clashing,
            Catalogue catalogue,
            Scale scale,
            List<Board.Ground> ground,
            int y,
            @Nullable String selected,
            Formats f) {
        int rowHeight = Math.max(6, POOL_HEIGHT / resource.units());
        long[] freeFrom = new long[resource.units()];
        List<Board.Cell> cells = new ArrayList<>();
        int peak = 0;
        Set<Object> sessions = new HashSet<>();
        for (BoardBooking booking : bookings) {
            Offer offer = catalogue.offer(booking.offer());
            Interval taken = booking.time().widened(offer.prep(), offer.reset());
            int needed = units(offer, resource, booking);
            for (int row = 0; row < freeFrom.length && needed > 0; row++) {
                if (freeFrom[row] <= taken.start()) {
                    freeFrom[row] = taken.end();
                    needed--;
                    peak = Math.max(peak, row + 1);
                    if (!scale.shows(booking.time())) {
                        continue;
                    }
                    int x = scale.x(booking.time().start());
                    int width = scale.x(booking.time().end()) - x;
                    int top = y + POOL_HEIGHT - (row + 1) * rowHeight;
                    String title = booking.guest() == null ? offer.title() : booking.guest() + " · " + offer.title();
                    String clash = clashing.getOrDefault(booking.id(), "");
                    cells.add(new Board.Cell(
                            booking,
                            clash.isEmpty() ? title : title + " · " + f.text("board.clashes", clash),
                            clash,
                            x,
                            width,
                            top,
                            booking.id().equals(selected)));
                }
            }
        }
        return new Board.ResourceLane(
                resource.id().value(),
                resource.name(),
                resource.units(),
                y,
                POOL_HEIGHT,
                rowHeight,
                ground,
                cells,
                peak);
    }

    private static int units(Offer offer, Resource resource, BoardBooking booking) {
        return offer.uses().stream()
                .filter(u -> u.resource().equals(resource.id()))
                .mapToInt(u -> u.units() * (u.per() == Use.Per.PERSON ? booking.party() : 1))
                .sum();
    }

    /** Six weeks with the day in the third. */
    Ruler ruler(LocalDate selected) {
        Catalogue catalogue = catalogues.catalogue();
        LocalDate first = catalogue.extras().manners().weekOf(selected).minusWeeks(2);
        Days days = Days.between(catalogue.zone(), first.minusDays(1), first.plusDays(Ruler.DAYS - 1L));
        List<BoardBooking> bookings = store.between(days.span(), clock.instant());
        long[] staffOpen = new long[days.count()];
        long[] staffTaken = new long[days.count()];
        long[] unitsOpen = new long[days.count()];
        long[] unitsTaken = new long[days.count()];
        boolean[] waiting = new boolean[days.count()];
        for (Staff person : catalogue.house().staff()) {
            add(staffOpen, days, person.hours().openTime(days), 1);
        }
        IntervalSet houseHours = catalogue.house().hours().openTime(days);
        for (Resource resource : catalogue.house().resources()) {
            add(unitsOpen, days, resource.hours().openTime(days).intersect(houseHours), resource.units());
        }
        Set<Object> sessions = new HashSet<>();
        for (BoardBooking booking : bookings) {
            Offer offer = catalogue.offer(booking.offer());
            Interval taken = booking.time().widened(offer.prep(), offer.reset());
            // Bookings that share a session take its staff once.
            Object session = List.of(booking.offer(), booking.time(), booking.staff());
            if (!offer.sharing().shared() || sessions.add(session)) {
                add(staffTaken, days, taken, booking.staff().size());
            }
            long units = catalogue.house().resources().stream()
                    .mapToLong(r -> units(offer, r, booking))
                    .sum();
            add(unitsTaken, days, taken, units);
            int day = days.dayOf(booking.time().start());
            if (booking.status() == BookingStatus.REQUESTED && day >= 0 && day < waiting.length) {
                waiting[day] = true;
            }
        }
        List<Ruler.Tick> ticks = new ArrayList<>();
        for (int day = 1; day < days.count(); day++) {
            int percent = Math.max(percent(staffTaken[day], staffOpen[day]), percent(unitsTaken[day], unitsOpen[day]));
            int fill = percent == 0 ? 0 : Math.max(3, percent * FULL / 100);
            LocalDate date = days.date(day);
            ticks.add(new Ruler.Tick(
                    date,
                    (day - 1) * TICK,
                    fill,
                    percent,
                    staffOpen[day] + unitsOpen[day] > 0,
                    waiting[day],
                    date.equals(selected)));
        }
        return new Ruler(List.copyOf(ticks));
    }

    private static int percent(long taken, long open) {
        return open == 0 ? (taken > 0 ? 100 : 0) : (int) Math.min(100, taken * 100 / open);
    }

    private static void add(long[] sums, Days days, Interval part, long weight) {
        int last = Math.min(sums.length - 1, days.dayOf(part.end() - 1));
        for (int day = Math.max(0, days.dayOf(part.start())); day <= last; day++) {
            long from = Math.max(part.start(), days.start(day));
            long to = Math.min(part.end(), days.start(day + 1));
            sums[day] += Math.max(0, to - from) * weight;
        }
    }

    private static void add(long[] sums, Days days, IntervalSet set, long weight) {
        set.intervals().forEach(part -> add(sums, days, part, weight));
    }
}
