package gastfreund.app.board;

import gastfreund.app.blocked.Blocking;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Staff;
import gastfreund.core.openings.Clash;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Days;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Draws the board. */
@Service
class BoardService {

    private static final int FIRST_HOUR = 8;
    private static final int LAST_HOUR = 21;

    /** What the number of an hour needs, in pixels. */
    private static final int HOUR_WIDTH = 22;

    private final BoardStore store;
    private final CatalogueService catalogues;
    private final BoardAsking asking;
    private final Blocking blocking;
    private final Clock clock;

    BoardService(BoardStore store, CatalogueService catalogues, BoardAsking asking, Blocking blocking, Clock clock) {
        this.blocking = blocking;
        this.store = store;
        this.asking = asking;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    /** @param sees which bookings are shown with their guests */
    Board board(BoardView view, Predicate<BoardBooking> sees, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        House house = catalogue.house();
        Days days = Days.between(catalogue.zone(), view.day().minusDays(1), view.last());
        Interval whole = Interval.between(days.start(1), days.start(days.count()));
        Instant now = clock.instant();
        List<BoardBooking> bookings = new ArrayList<>();
        for (BoardBooking booking : store.between(whole, now)) {
            bookings.add(sees.test(booking) ? booking : booking.hidden(f.text("board.taken"), bookings.size()));
        }
        Map<Schedule, IntervalSet> open = new HashMap<>();
        house.staff().forEach(s -> open.put(s.hours(), s.hours().openTime(days)));
        house.resources().forEach(r -> open.put(r.hours(), r.hours().openTime(days)));
        open.put(house.hours(), house.hours().openTime(days));
        BoardFacts facts = asking.of(view.day(), view.last(), catalogue, now, f);
        Scale scale = new Scale(columns(days, open, bookings, facts, house), view.width());
        List<Board.Lane> lanes =
                new BoardLanes(view, catalogue, facts, scale, bookings, blocking.between(whole), open, f).all();
        return new Board(
                view.day(),
                view.span(),
                days(scale),
                hours(scale, catalogue),
                lanes,
                now(scale, Interval.firstMinuteFrom(now)),
                counts(bookings, facts),
                clashes(facts, bookings, catalogue, f));
    }

    /** Each day from the first to the last hour in which somebody is there or something takes place; the usual day at least. */
    private static List<Scale.Column> columns(
            Days days, Map<Schedule, IntervalSet> open, List<BoardBooking> bookings, BoardFacts facts, House house) {
        long first = FIRST_HOUR * 60L;
        long last = LAST_HOUR * 60L;
        List<Interval> all = new ArrayList<>();
        for (Staff person : house.staff()) {
            all.addAll(open.getOrDefault(person.hours(), IntervalSet.empty()).intervals());
        }
        bookings.stream().map(BoardBooking::time).forEach(all::add);
        facts.timetabled().stream().map(Session::guests).forEach(all::add);
        for (int day = 1; day < days.count(); day++) {
            Interval whole = Interval.between(days.start(day), days.start(day + 1));
            // What runs over midnight is cut off at the edge, so that the usual day keeps its width.
            for (Interval interval : all) {
                if (whole.encloses(interval)) {
                    first = Math.min(first, interval.start() - whole.start());
                    last = Math.max(last, interval.end() - whole.start());
                }
            }
        }
        long from = first / 60 * 60;
        long to = (last + 59) / 60 * 60;
        List<Scale.Column> columns = new ArrayList<>();
        for (int day = 1; day < days.count(); day++) {
            long length = days.start(day + 1) - days.start(day);
            columns.add(new Scale.Column(
                    days.date(day), Interval.between(days.start(day) + from, days.start(day) + Math.min(to, length))));
        }
        return columns;
    }

    private static List<Board.Day> days(Scale scale) {
        List<Board.Day> days = new ArrayList<>();
        for (int i = 0; i < scale.columns().size(); i++) {
            Scale.Column column = scale.columns().get(i);
            double from = scale.at(column.shown().start(), i);
            double to = scale.at(column.shown().end(), i);
            days.add(new Board.Day(
                    column.date(), column.shown(), Scale.percent(from), Scale.percent(to - from), Scale.percent(to)));
        }
        return days;
    }

    private static List<Board.Hour> hours(Scale scale, Catalogue catalogue) {
        List<Board.Hour> hours = new ArrayList<>();
        for (int i = 0; i < scale.columns().size(); i++) {
            Interval shown = scale.columns().get(i).shown();
            int apart = scale.pixels(scale.at(shown.start() + 60, i) - scale.at(shown.start(), i));
            int each = (HOUR_WIDTH + apart - 1) / Math.max(1, apart);
            for (long t = shown.start(); t <= shown.end(); t += 60) {
                int hour = catalogue.zone().localOf(t).getHour();
                boolean labelled = t < shown.end() && (t - shown.start()) / 60 % each == 0;
                hours.add(new Board.Hour(Scale.percent(scale.at(t, i)), hour, labelled));
            }
        }
        return hours;
    }

    private static @Nullable String now(Scale scale, long minute) {
        for (int i = 0; i < scale.columns().size(); i++) {
            if (scale.columns().get(i).shown().encloses(Interval.between(minute, minute))) {
                return Scale.percent(scale.at(minute, i));
            }
        }
        return null;
    }

    private static Board.Counts counts(List<BoardBooking> bookings, BoardFacts facts) {
        int holds = (int)
                bookings.stream().filter(b -> b.status() == BookingStatus.HELD).count();
        int requests = (int) bookings.stream()
                .filter(b -> b.status() == BookingStatus.REQUESTED)
                .count();
        int starts = facts.free().values().stream()
                        .mapToInt(BoardFacts::moments)
                        .sum()
                + facts.sold().values().stream().mapToInt(BoardFacts::moments).sum();
        return new Board.Counts(bookings.size() - holds, requests, holds, starts);
    }

    /** What whoever looks may see of what no longer fits. */
    private static List<Board.Clashing> clashes(
            BoardFacts facts, List<BoardBooking> bookings, Catalogue catalogue, Formats f) {
        List<Board.Clashing> clashing = new ArrayList<>();
        for (Clash clash : facts.clashes()) {
            Session session = clash.session();
            Optional<BoardBooking> booked = bookings.stream()
                    .filter(b -> session.bookings().stream()
                            .anyMatch(s -> s.id().value().equals(b.id())))
                    .findFirst();
            if (booked.isPresent() || session.bookings().isEmpty()) {
                String title = catalogue.offer(session.offer()).title();
                String guest = booked.map(BoardBooking::guest).orElse(null);
                clashing.add(new Board.Clashing(
                        booked.map(BoardBooking::id).orElse(""),
                        catalogue.zone().dateOf(session.guests().start()),
                        f.times(session.guests()) + " " + (guest == null ? title : guest),
                        BoardAsking.words(clash, catalogue.house(), f)));
            }
        }
        return clashing;
    }
}
