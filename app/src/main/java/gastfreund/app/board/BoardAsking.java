package gastfreund.app.board;

import gastfreund.app.bookings.BookedStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.ResourceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Clash;
import gastfreund.core.openings.Clashes;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import gastfreund.core.sessions.Needs;
import gastfreund.core.sessions.Session;
import gastfreund.core.sessions.Sessions;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Asks the engine about the board's days: what can still be sold, how much of each thing is taken, and what no longer fits. */
@Component
class BoardAsking {

    /** How far a session that matters to a day can reach. */
    private static final int MARGIN_DAYS = 3;

    private final BookedStore store;

    BoardAsking(BookedStore store) {
        this.store = store;
    }

    /**
     * @param first the first day (inclusive)
     * @param last the last day (inclusive)
     */
    BoardFacts of(LocalDate first, LocalDate last, Catalogue catalogue, Instant now, Formats f) {
        House house = catalogue.house();
        Interval around = Interval.between(
                house.zone().startOf(first.minusDays(MARGIN_DAYS)),
                house.zone().startOf(last.plusDays(MARGIN_DAYS + 1L)));
        Booked booked = store.touching(around, now);
        List<Booking> live =
                booked.bookings().stream().filter(b -> b.isLive(now)).toList();
        Sessions sessions = Sessions.of(house, live, around);
        List<Session> shared = List.copyOf(sessions.shared().values());
        List<Clash> clashes = Clashes.of(house, booked, first, last, now);
        Map<StaffId, List<BoardFacts.Start>> free = new HashMap<>();
        Map<OfferId, List<BoardFacts.Start>> sold = new HashMap<>();
        // No offer's answer needs another's: every processor helps.
        catalogue.listed().parallelStream()
                .filter(o -> !o.hasTimetable())
                .map(o -> new Asked(o, openings(house, booked, o, first, last, now)))
                .toList()
                .forEach(asked -> sort(asked, free, sold));
        return new BoardFacts(
                busy(booked, around),
                clashes,
                reasons(clashes, house, f),
                levels(
                        house,
                        Stream.concat(sessions.apart().stream(), shared.stream())
                                .toList()),
                shared.stream().filter(Session::timetabled).toList(),
                free,
                sold);
    }

    private static Map<StaffId, IntervalSet> busy(Booked booked, Interval around) {
        Map<StaffId, IntervalSet> busy = new HashMap<>();
        booked.busyTouching(around).stream()
                .collect(Collectors.groupingBy(Busy::staff, LinkedHashMap::new, Collectors.toList()))
                .forEach((staff, all) -> busy.put(
                        staff,
                        IntervalSet.union(all.stream().map(Busy::interval).toList())));
        return busy;
    }

    private record Asked(Offer offer, List<Answer.Entry> openings) {}

    /** The openings of an offer's first length for the fewest people, as guests find them. */
    private static List<Answer.Entry> openings(
            House house, Booked booked, Offer offer, LocalDate first, LocalDate last, Instant now) {
        Length length = offer.lengths().get(0);
        return Openings.openings(
                        house,
                        booked,
                        Query.of(offer.id(), first, last, now)
                                .withLength(length.id(), length.minUnits())
                                .withParty(offer.party().min()))
                .entries();
    }

    /** Whose time each opening is of; without those that are free only until a request is answered. */
    private static void sort(
            Asked asked, Map<StaffId, List<BoardFacts.Start>> free, Map<OfferId, List<BoardFacts.Start>> sold) {
        for (Answer.Entry entry : asked.openings()) {
            for (Answer.Judged option : entry.options()) {
                if (option.opening().contested()) {
                    continue;
                }
                BoardFacts.Start start =
                        new BoardFacts.Start(entry.time(), option.opening().price());
                if (option.staff().isEmpty()) {
                    sold.computeIfAbsent(asked.offer().id(), o -> new ArrayList<>())
                            .add(start);
                }
                option.staff().forEach(s -> free.computeIfAbsent(s, p -> new ArrayList<>())
                        .add(start));
            }
        }
    }

    private static Map<ResourceId, Map<Long, Integer>> levels(House house, List<Session> sessions) {
        Map<ResourceId, Map<Long, Integer>> levels = new HashMap<>();
        Map<OfferId, List<Needs>> needs = new HashMap<>();
        for (Session session : sessions) {
            List<Needs> all = needs.computeIfAbsent(
                    session.offer(), id -> Needs.of(house.offer(id).orElseThrow()));
            for (Needs one : all) {
                int units = one.resource() == null ? 0 : one.of(session);
                if (units > 0) {
                    Map<Long, Integer> level = levels.computeIfAbsent(one.resource(), r -> new TreeMap<>());
                    level.merge(session.taken().start(), units, Integer::sum);
                    level.merge(session.taken().end(), -units, Integer::sum);
                }
            }
        }
        return levels;
    }

    private static Map<String, String> reasons(List<Clash> clashes, House house, Formats f) {
        Map<String, String> reasons = new HashMap<>();
        for (Clash clash : clashes) {
            String words = words(clash, house, f);
            clash.session().bookings().forEach(b -> reasons.put(b.id().value(), words));
        }
        return reasons;
    }

    /** The first reason why something no longer fits. */
    static String words(Clash clash, House house, Formats f) {
        Reason reason = clash.reasons().get(0);
        if (reason instanceof Reason.StaffBusy busy) {
            return f.text("board.clash.busy", house.staff(busy.staff()).name());
        }
        if (reason instanceof Reason.Full full) {
            return full.resource() == null
                    ? f.text("board.clash.twice")
                    : f.text("board.clash.full", house.resource(full.resource()).name());
        }
        return f.text(
                reason instanceof Reason.Closed
                        ? "board.clash.closed"
                        : reason instanceof Reason.Seats ? "board.clash.seats" : "board.clash.hours");
    }
}
