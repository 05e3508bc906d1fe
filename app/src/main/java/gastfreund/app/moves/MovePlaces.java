package gastfreund.app.moves;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.ReasonWords;
import gastfreund.app.orders.OrderLine;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Says where else a booking could be, and in words why not there. */
@Component
class MovePlaces {

    private final Moves moves;
    private final CatalogueService catalogues;

    MovePlaces(Moves moves, CatalogueService catalogues) {
        this.moves = moves;
        this.catalogues = catalogues;
    }

    private ReasonWords words(Formats f) {
        return new ReasonWords(catalogues.catalogue(), f);
    }

    /** The names of those who serve together. */
    String names(List<StaffId> staff, Formats f) {
        return words(f).names(staff);
    }

    /** What stands against a time, in words. */
    String against(OfferId offer, List<Reason> reasons, Interval time, Formats f) {
        return words(f).all(reasons, catalogues.catalogue().offer(offer), time);
    }

    /**
     * Where else a booking could be.
     *
     * @param minutes how long it takes
     * @param lanes of people, or of its offer where nobody serves it
     * @param words what can be said of places
     * @param places each with its start, the index of its lane, whether it is free, and the index of its words
     */
    public record Places(long minutes, List<String> lanes, List<String> words, List<List<Long>> places) {}

    /**
     * How long a booking could be.
     *
     * @param words what can be said of sizes
     * @param sizes each with its end in minutes since the epoch, its length, its units, whether it fits, and the index of its
     *     words
     */
    public record Sizes(List<String> words, List<List<Object>> sizes) {}

    /** How long a booking could be from its start on, and why not longer. */
    Sizes sizes(MovePages.Side side, Formats f) {
        OrderLine line = side.line();
        Map<String, Integer> words = new LinkedHashMap<>();
        List<List<Object>> sizes = moves.sizes(side.order(), line).stream()
                .map(s -> List.<Object>of(
                        s.time().end(),
                        s.size().length().id().value(),
                        s.size().units(),
                        s.option().isOpen(),
                        index(words, said(line, s.time(), s.option(), f))))
                .toList();
        return new Sizes(List.copyOf(words.keySet()), sizes);
    }

    /** Where else a booking could be from one date to another, and why not there. */
    Places places(MovePages.Side side, LocalDate from, LocalDate to, Formats f) {
        OrderLine line = side.line();
        Map<String, Integer> lanes = new LinkedHashMap<>();
        Map<String, Integer> words = new LinkedHashMap<>();
        List<List<Long>> places = new ArrayList<>();
        for (Answer.Entry entry : moves.places(side.order(), line, from, to)) {
            Map<String, Answer.Judged> best = new LinkedHashMap<>();
            for (Answer.Judged option : entry.options()) {
                List<String> in = option.staff().isEmpty()
                        ? List.of("offer:" + line.offer())
                        : option.staff().stream().map(s -> "person:" + s).toList();
                in.forEach(lane -> best.merge(lane, option, (a, b) -> a.isOpen() ? a : b));
            }
            best.forEach((lane, option) -> places.add(
                    List.of(entry.time().start(), (long) index(lanes, lane), option.isOpen() ? 1L : 0L, (long)
                            index(words, said(line, entry.time(), option, f)))));
        }
        return new Places(
                line.time().length().count(), List.copyOf(lanes.keySet()), List.copyOf(words.keySet()), places);
    }

    private static int index(Map<String, Integer> of, String one) {
        return of.computeIfAbsent(one, o -> of.size());
    }

    private String said(OrderLine line, Interval time, Answer.Judged option, Formats f) {
        if (!option.isOpen()) {
            return against(line.offer(), option.reasons(), time, f);
        }
        Money price = option.opening().price().minus(line.discount()).notBelowZero();
        if (line.covered().isPositive() || price.equals(line.total())) {
            return f.text("move.samePrice");
        }
        boolean less = price.compareTo(line.total()) < 0;
        return less
                ? f.text("move.less", f.money(line.total().minus(price)))
                : f.text("move.dearer", f.money(price.minus(line.total())));
    }
}
