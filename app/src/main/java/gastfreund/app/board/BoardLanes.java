package gastfreund.app.board;

import gastfreund.app.blocked.BlockedTime;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.core.hours.Schedule;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.offers.StaffId;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import gastfreund.core.time.IntervalSet;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Draws the lanes of one board: of people, of offers that have no people of their own or dates of their own, and of things. */
final class BoardLanes {

    private static final int PERSON = 92;
    private static final int FIRST_Y = 20;
    private static final int BLOCK = 58;
    private static final int ROW = 34;
    private static final int SESSION = 40;
    private static final int THINGS = 84;
    private static final int LEAST_UNIT = 5;
    private static final int MOST_UNIT = 16;
    private static final int LABEL = 14;

    /** What the words of a gap need, in pixels. */
    private static final int GAP_WORDS = 68;

    private final BoardView view;
    private final Catalogue catalogue;
    private final BoardFacts facts;
    private final Scale scale;
    private final List<BoardBooking> bookings;
    private final Map<Schedule, IntervalSet> open;
    private final List<BlockedTime> blocked;
    private final Blocks blocks;
    private final Formats f;

    BoardLanes(
            BoardView view,
            Catalogue catalogue,
            BoardFacts facts,
            Scale scale,
            List<BoardBooking> bookings,
            List<BlockedTime> blocked,
            Map<Schedule, IntervalSet> open,
            Formats f) {
        this.view = view;
        this.catalogue = catalogue;
        this.facts = facts;
        this.scale = scale;
        this.bookings = bookings;
        this.blocked = blocked;
        this.open = open;
        this.blocks = new Blocks(view, catalogue, facts, scale, f);
        this.f = f;
    }

    List<Board.Lane> all() {
        List<Board.Lane> lanes = new ArrayList<>();
        for (Staff person : catalogue.house().staff()) {
            if (view.filter().showsPerson(person.id().value(), catalogue.house())) {
                lanes.add(person(person));
            }
        }
        for (Offer offer : catalogue.house().offers()) {
            if (view.filter().showsOffer(offer)) {
                if (offer.hasTimetable()) {
                    timetable(offer, lanes);
                } else if (offer.serving().of().isEmpty()) {
                    unserved(offer, lanes);
                }
            }
        }
        if (view.filter().showsThings()) {
            catalogue.house().resources().forEach(r -> lanes.add(things(r)));
        }
        return lanes;
    }

    private Board.Lane person(Staff person) {
        IntervalSet hours = open.getOrDefault(person.hours(), IntervalSet.empty());
        Map<Object, List<BoardBooking>> sessions = new LinkedHashMap<>();
        for (BoardBooking booking : bookings) {
            if (booking.staff().contains(person.id())) {
                sessions.computeIfAbsent(key(booking), k -> new ArrayList<>()).add(booking);
            }
        }
        return new Board.Lane(
                Board.Kind.PERSON,
                person.id().value(),
                person.name(),
                view.span() == 1 ? hoursOf(hours) : List.of(),
                PERSON,
                scale.stretches(hours),
                scale.stretches(facts.busy().getOrDefault(person.id(), IntervalSet.empty())),
                words(person.id()),
                gaps(facts.free().getOrDefault(person.id(), List.of()), taken(sessions.values())),
                blocks.inRows(new ArrayList<>(sessions.values()), FIRST_Y, BLOCK),
                List.of(),
                "/desk/explain?staff=" + person.id() + "&day=" + view.day());
    }

    /** What a person's time is kept free for. */
    private List<Board.Word> words(StaffId person) {
        return blocked.stream()
                .filter(b -> b.staff().equals(person) && !b.word().isEmpty())
                .flatMap(b -> scale.stretches(IntervalSet.of(b.time())).stream()
                        .map(s -> new Board.Word(s.x(), s.width(), b.word())))
                .toList();
    }

    /** What is one session: bookings that share it stand together. */
    private Object key(BoardBooking booking) {
        boolean shared = catalogue.offer(booking.offer()).sharing().shared();
        return shared ? List.of(booking.offer(), booking.time(), booking.staff()) : booking.id();
    }

    private List<String> hoursOf(IntervalSet hours) {
        Interval day = Interval.between(
                catalogue.zone().startOf(view.day()),
                catalogue.zone().startOf(view.day().plusDays(1)));
        List<String> times =
                hours.within(day).intervals().stream().map(f::times).toList();
        return times.isEmpty() ? List.of(f.text("board.off")) : times;
    }

    private IntervalSet taken(Collection<List<BoardBooking>> sessions) {
        return IntervalSet.union(sessions.stream()
                .map(session -> session.get(0))
                .map(b -> b.time()
                        .widened(
                                catalogue.offer(b.offer()).prep(),
                                catalogue.offer(b.offer()).reset()))
                .toList());
    }

    private List<Board.Gap> gaps(List<BoardFacts.Start> free, IntervalSet taken) {
        List<Board.Gap> gaps = new ArrayList<>();
        BoardFacts.stretches(free, taken).forEach((stretch, starts) -> {
            String words = f.text("board.starts", BoardFacts.moments(starts));
            String price = f.fromMoney(BoardFacts.least(starts));
            for (Scale.Part part : scale.parts(stretch)) {
                boolean room = scale.pixels(part.to() - part.from()) >= GAP_WORDS;
                gaps.add(new Board.Gap(
                        part.x(),
                        part.width(),
                        room ? words : "",
                        room ? price : "",
                        f.times(stretch) + ": " + words + ", " + price));
            }
        });
        return gaps;
    }

    /** The sessions of a timetable, also where nobody booked. */
    private void timetable(Offer offer, List<Board.Lane> lanes) {
        List<Board.Block> drawn = new ArrayList<>();
        for (Session session : facts.timetabled()) {
            if (session.offer().equals(offer.id())) {
                List<BoardBooking> booked = bookings.stream()
                        .filter(b -> b.offer().equals(offer.id())
                                && b.time().start() == session.guests().start())
                        .toList();
                drawn.addAll(blocks.session(session, offer, booked, FIRST_Y - 8, SESSION));
            }
        }
        if (!drawn.isEmpty()) {
            lanes.add(offer(offer, List.of(f.text("board.dates")), SESSION + FIRST_Y, drawn, List.of()));
        }
    }

    /** What is booked of an offer that nobody serves. */
    private void unserved(Offer offer, List<Board.Lane> lanes) {
        List<List<BoardBooking>> booked = bookings.stream()
                .filter(b -> b.offer().equals(offer.id()))
                .map(List::of)
                .toList();
        List<BoardFacts.Start> starts = facts.sold().getOrDefault(offer.id(), List.of());
        if (booked.isEmpty() && starts.isEmpty()) {
            return;
        }
        List<String> below = starts.isEmpty()
                ? List.of(f.text("board.nothingFree"))
                : List.of(f.text("board.starts", BoardFacts.moments(starts)) + ", "
                        + f.fromMoney(BoardFacts.least(starts)));
        List<Board.Block> drawn = blocks.stacked(booked, LABEL, ROW);
        int rows = 1 + drawn.stream().mapToInt(b -> (b.y() - LABEL) / ROW).max().orElse(0);
        IntervalSet times =
                IntervalSet.union(starts.stream().map(BoardFacts.Start::time).toList());
        lanes.add(offer(offer, below, Math.max(52, LABEL + rows * ROW + 4), drawn, scale.stretches(times)));
    }

    private Board.Lane offer(
            Offer offer, List<String> below, int height, List<Board.Block> drawn, List<Board.Stretch> ground) {
        return new Board.Lane(
                Board.Kind.OFFER,
                offer.id().value(),
                offer.title(),
                below,
                height,
                ground,
                List.of(),
                List.of(),
                List.of(),
                drawn,
                List.of(),
                "/desk/explain?offer=" + offer.id() + "&day=" + view.day());
    }

    private Board.Lane things(Resource resource) {
        IntervalSet hours = open.getOrDefault(resource.hours(), IntervalSet.empty())
                .intersect(open.getOrDefault(catalogue.house().hours(), IntervalSet.empty()));
        int unit = Math.max(LEAST_UNIT, Math.min(MOST_UNIT, THINGS / resource.units()));
        int height = LABEL + unit * resource.units();
        List<Board.Step> steps = steps(facts.levels().getOrDefault(resource.id(), Map.of()), unit, height);
        int most = steps.stream().mapToInt(s -> s.height() / unit).max().orElse(0);
        return new Board.Lane(
                Board.Kind.THING,
                resource.id().value(),
                resource.name(),
                List.of(f.text("board.units", resource.units(), most)),
                height,
                scale.stretches(hours),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                steps,
                "/desk/explain?uses=" + resource.id() + "&day=" + view.day());
    }

    /** The level as it rises and falls; its heights are written where it is highest. */
    private List<Board.Step> steps(Map<Long, Integer> changes, int unit, int height) {
        List<Interval> times = new ArrayList<>();
        List<Integer> levels = new ArrayList<>();
        long since = 0;
        int level = 0;
        for (Map.Entry<Long, Integer> change : changes.entrySet()) {
            if (change.getValue() != 0) {
                if (level > 0) {
                    times.add(Interval.between(since, change.getKey()));
                    levels.add(level);
                }
                since = change.getKey();
                level += change.getValue();
            }
        }
        List<Board.Step> steps = new ArrayList<>();
        for (int i = 0; i < times.size(); i++) {
            int before = i > 0 && times.get(i - 1).end() == times.get(i).start() ? levels.get(i - 1) : 0;
            int after = i + 1 < times.size()
                            && times.get(i + 1).start() == times.get(i).end()
                    ? levels.get(i + 1)
                    : 0;
            int high = levels.get(i) * unit;
            boolean peak = levels.get(i) > before && levels.get(i) > after;
            for (Scale.Part part : scale.parts(times.get(i))) {
                steps.add(new Board.Step(
                        part.x(), part.width(), height - high, high, peak ? Integer.toString(levels.get(i)) : ""));
            }
        }
        return steps;
    }
}
