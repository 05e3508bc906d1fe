package gastfreund.app.board;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.Shelf;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.offers.Offer;
import gastfreund.core.sessions.Session;
import gastfreund.core.time.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Draws blocks: where they lie, in which row, and what is written on them or, where they are too narrow, above them. */
final class Blocks {

    /** About what a letter needs, in pixels, and what is left free at the sides. */
    private static final double LETTER = 6.6;

    private static final int SIDES = 18;

    /** How high a row has to be for two lines. */
    private static final int TWO_LINES = 40;

    private final BoardView view;
    private final Catalogue catalogue;
    private final BoardFacts facts;
    private final Scale scale;
    private final Formats f;

    Blocks(BoardView view, Catalogue catalogue, BoardFacts facts, Scale scale, Formats f) {
        this.view = view;
        this.catalogue = catalogue;
        this.facts = facts;
        this.scale = scale;
        this.f = f;
    }

    /** Sessions in a lane of one height: those that overlap share it. */
    List<Board.Block> inRows(List<List<BoardBooking>> sessions, int y, int height) {
        int[] rows = rows(sessions);
        int most = most(rows);
        int each = height / most;
        List<Board.Block> drawn = new ArrayList<>();
        for (int i = 0; i < rows.length; i++) {
            drawn.addAll(draw(sessions.get(i), y + rows[i] * each, most == 1 ? height : each - 2));
        }
        return drawn;
    }

    /** Sessions one under the other, as many rows as they need. */
    List<Board.Block> stacked(List<List<BoardBooking>> sessions, int y, int row) {
        int[] rows = rows(sessions);
        List<Board.Block> drawn = new ArrayList<>();
        for (int i = 0; i < rows.length; i++) {
            drawn.addAll(draw(sessions.get(i), y + rows[i] * row, row - 4));
        }
        return drawn;
    }

    /** The lowest row for each in which nothing lies at its time. */
    private static int[] rows(List<List<BoardBooking>> sessions) {
        int[] rows = new int[sessions.size()];
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < rows.length; i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingLong(i -> sessions.get(i).get(0).time().start()));
        List<Long> until = new ArrayList<>();
        for (int i : order) {
            Interval time = sessions.get(i).get(0).time();
            int row = 0;
            while (row < until.size() && until.get(row) > time.start()) {
                row++;
            }
            if (row == until.size()) {
                until.add(0L);
            }
            until.set(row, time.end());
            rows[i] = row;
        }
        return rows;
    }

    private static int most(int[] rows) {
        int most = 1;
        for (int row : rows) {
            most = Math.max(most, row + 1);
        }
        return most;
    }

    private List<Board.Block> draw(List<BoardBooking> session, int y, int height) {
        BoardBooking shown = session.stream()
                .filter(b -> b.id().equals(view.selected()))
                .findFirst()
                .orElse(session.get(0));
        Offer offer = catalogue.offer(shown.offer());
        int party = session.stream().mapToInt(BoardBooking::party).sum();
        String title = title(shown, offer);
        String clash = facts.reasons().getOrDefault(shown.id(), "");
        String said = title + ", " + offer.title() + ", " + f.times(shown.time()) + clashing(clash);
        Shelf shelf = catalogue.shelfOf(offer.id());
        String sign = shelf.sign().isEmpty() ? "" : shelf.sign() + " ";
        boolean wanted = session.stream().anyMatch(b -> view.filter()
                .wants(b, !facts.reasons().getOrDefault(b.id(), "").isEmpty()));
        List<Board.Block> blocks = new ArrayList<>();
        for (Scale.Part part : scale.parts(shown.time())) {
            int room = scale.pixels(part.to() - part.from());
            String label = label(shown, offer, title, party, sign, room);
            boolean two = height >= TWO_LINES;
            blocks.add(new Board.Block(
                    shown,
                    shelf.tone(),
                    label,
                    label.isEmpty() && height >= TWO_LINES ? sign + title.split(" ", 2)[0] : "",
                    two ? state(shown, offer, party) : "",
                    said,
                    clash,
                    part.x(),
                    part.width(),
                    Scale.percent(part.to()),
                    y,
                    height,
                    shoulders(shown.time(), offer),
                    null,
                    address(shown.id()),
                    session.stream().anyMatch(b -> b.id().equals(view.selected())),
                    !wanted,
                    shown.isMovable() && !part.cut() && !offer.hasTimetable()));
        }
        return blocks;
    }

    private String clashing(String clash) {
        return clash.isEmpty() ? "" : ". " + f.text("board.clashes", clash);
    }

    private String address(String booking) {
        return view.selecting(booking).address();
    }

    private List<Board.Stretch> shoulders(Interval time, Offer offer) {
        List<Board.Stretch> shoulders = new ArrayList<>();
        if (offer.prep().count() > 0) {
            stretch(Interval.between(time.start() - offer.prep().count(), time.start()), shoulders);
        }
        if (offer.reset().count() > 0) {
            stretch(Interval.startingAt(time.end(), offer.reset()), shoulders);
        }
        return shoulders;
    }

    private void stretch(Interval time, List<Board.Stretch> to) {
        scale.parts(time).forEach(p -> to.add(new Board.Stretch(p.x(), p.width())));
    }

    /** The guest's name, or the offer's where several share it. */
    private String title(BoardBooking booking, Offer offer) {
        if (offer.sharing().shared()) {
            return offer.title();
        }
        return booking.guest() == null ? f.text("board.kept") : booking.guest();
    }

    /** What fits: the name with how many come, the name, the first of its words, or nothing. */
    private static String label(BoardBooking booking, Offer offer, String title, int party, String sign, int room) {
        boolean counted = !offer.sharing().shared() && booking.guest() != null;
        List<String> longest = counted
                ? List.of(title + ", " + party, title, title.split(" ", 2)[0])
                : List.of(title, title.split(" ", 2)[0]);
        return longest.stream()
                .map(l -> sign + l)
                .filter(l -> l.length() * LETTER + SIDES <= room)
                .findFirst()
                .orElse("");
    }

    private String state(BoardBooking booking, Offer offer, int party) {
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

    /** A session of a timetable, filled as far as its seats are taken. */
    List<Board.Block> session(Session session, Offer offer, List<BoardBooking> booked, int y, int height) {
        int seats = Objects.requireNonNull(session.entry())
                .seats()
                .orElse(offer.sharing().seats());
        int taken = session.persons();
        @Nullable BoardBooking first = booked.isEmpty() ? null : booked.get(0);
        BoardBooking shown = first != null ? first : BoardBooking.nobody(session);
        String clash = booked.stream()
                .map(b -> facts.reasons().getOrDefault(b.id(), ""))
                .filter(w -> !w.isEmpty())
                .findFirst()
                .orElse("");
        String said = offer.title() + ", " + f.times(session.guests()) + ", " + f.text("board.seats", taken, seats)
                + clashing(clash);
        boolean wanted = booked.isEmpty()
                ? view.filter().state() == null
                : booked.stream().anyMatch(b -> view.filter().wants(b, !clash.isEmpty()));
        List<Board.Block> blocks = new ArrayList<>();
        for (Scale.Part part : scale.parts(session.guests())) {
            double across = seats == 0 ? 0 : (part.to() - part.from()) * Math.min(1, (double) taken / seats);
            String words = f.text("board.seatsOf", taken, seats);
            boolean room = scale.pixels(part.to() - part.from()) >= words.length() * LETTER + SIDES;
            blocks.add(new Board.Block(
                    shown,
                    catalogue.shelfOf(offer.id()).tone(),
                    room ? words : "",
                    "",
                    "",
                    said,
                    clash,
                    part.x(),
                    part.width(),
                    Scale.percent(part.to()),
                    y,
                    height,
                    List.of(),
                    new Board.Filled(
                            Scale.percent(across), taken == 0, scale.pixels(across) >= words.length() * LETTER + SIDES),
                    first == null
                            ? "/desk/explain?offer=" + offer.id() + "&day="
                                    + catalogue.zone().dateOf(session.guests().start()) + "&at="
                                    + session.guests().start()
                            : address(first.id()),
                    booked.stream().anyMatch(b -> b.id().equals(view.selected())),
                    !wanted,
                    false));
        }
        return blocks;
    }
}
