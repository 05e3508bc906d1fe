package gastfreund.app.offerdesk;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Rung;
import gastfreund.core.bookings.Booked;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Openings;
import gastfreund.core.openings.Query;
import gastfreund.core.openings.Reason;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A week of an offer's starts with what each costs, and by which rules. */
final class PriceWeek {

    private static final int DAYS = 7;
    private static final int SHADES = 4;

    /**
     * A start.
     *
     * @param line of the cheapest option, open or taken
     * @param left 0: it is taken
     */
    record Start(long minute, Line line, Money price, int left) {}

    private final House house;
    private final Offer offer;
    private final LocalDate first;
    private final Map<Long, Start> starts = new TreeMap<>();

    private PriceWeek(House house, Offer offer, LocalDate first) {
        this.house = house;
        this.offer = offer;
        this.first = first;
    }

    /** @param query about the length, party and place that are looked at, with any dates */
    static PriceWeek of(House house, Booked booked, Offer offer, Query query, LocalDate first, Instant now) {
        PriceWeek week = new PriceWeek(house, offer, first);
        Answer answer = Openings.explain(house, booked, query.between(first, first.plusDays(DAYS - 1L)));
        for (Answer.Entry entry : answer.entries()) {
            Stream<Answer.Judged> judged = entry.isOpen()
                    ? entry.open().stream()
                    : entry.options().stream().filter(PriceWeek::isTaken);
            judged.map(j -> week.start(entry, j, query, now))
                    .min(Comparator.comparing(Start::price))
                    .ifPresent(s -> week.starts.put(s.minute(), s));
        }
        return week;
    }

    /** Whether nothing but other bookings, or how many there are, stands against it. */
    private static boolean isTaken(Answer.Judged option) {
        return option.reasons().stream()
                .noneMatch(r -> r instanceof Reason.Past
                        || r instanceof Reason.Notice
                        || r instanceof Reason.Horizon
                        || r instanceof Reason.Season
                        || r instanceof Reason.Closed
                        || r instanceof Reason.OutsideHours);
    }

    private Start start(Answer.Entry entry, Answer.Judged option, Query query, Instant now) {
        Line line = new Line(
                offer,
                offer.length(query.length() == null ? offer.lengths().get(0).id() : query.length())
                        .orElseThrow(),
                query.units(),
                query.party(),
                query.addOns(),
                entry.time().start(),
                option.staff(),
                option.place(),
                now,
                house.zone());
        return new Start(
                entry.time().start(),
                line,
                line.price().amount(),
                option.isOpen() ? option.opening().left() : 0);
    }

    /** How many starts each rule has a part in. */
    Map<Integer, Integer> touched() {
        Map<Integer, Integer> touched = new HashMap<>();
        starts.values().forEach(s -> s.line().steps().forEach(step -> touched.merge(step.rule(), 1, Integer::sum)));
        return touched;
    }

    int count() {
        return starts.size();
    }

    /** The hours in which something starts. */
    List<Integer> hours() {
        TreeSet<Integer> hours = new TreeSet<>();
        starts.keySet().forEach(m -> hours.add(house.zone().localOf(m).getHour()));
        return List.copyOf(hours);
    }

    Optional<Start> at(long minute) {
        return Optional.ofNullable(starts.get(minute));
    }

    /**
     * The rows of the grid.
     *
     * @param kept the same week as it is kept; null where the offer is not kept yet
     * @param here the page's address, to which a start is added
     * @param chosen the start that is looked at; null: none
     */
    List<PricesPage.Day> days(@Nullable PriceWeek kept, String here, @Nullable Long chosen, Formats f) {
        List<Money> prices =
                starts.values().stream().map(Start::price).distinct().sorted().toList();
        List<PricesPage.Day> days = new ArrayList<>();
        for (int day = 0; day < DAYS; day++) {
            LocalDate date = first.plusDays(day);
            List<PricesPage.Cell> cells = new ArrayList<>();
            for (int hour : hours()) {
                cells.add(firstIn(date, hour)
                        .map(s -> cell(s, prices, kept, here, chosen, f))
                        .orElseGet(PricesPage.Cell::empty));
            }
            days.add(new PricesPage.Day(
                    f.text("word.days."
                            + date.getDayOfWeek().name().substring(0, 3).toLowerCase(Locale.ROOT)),
                    f.dayAndMonth(date),
                    List.copyOf(cells)));
        }
        return days;
    }

    private Optional<Start> firstIn(LocalDate date, int hour) {
        return starts.values().stream()
                .filter(s -> house.zone().dateOf(s.minute()).equals(date)
                        && house.zone().localOf(s.minute()).getHour() == hour)
                .findFirst();
    }

    private PricesPage.Cell cell(
            Start start, List<Money> prices, @Nullable PriceWeek kept, String here, @Nullable Long chosen, Formats f) {
        boolean changed =
                kept != null && !kept.at(start.minute()).map(Start::price).equals(Optional.of(start.price()));
        int shade = prices.size() < 2 ? 1 : prices.indexOf(start.price()) * (SHADES - 1) / (prices.size() - 1);
        String left = start.left() == 0 ? f.text("prices.taken") : f.text("prices.left", start.left());
        List<String> said = new ArrayList<>();
        said.add(f.time(start.minute()) + ": " + f.money(start.price()) + ", " + left);
        rungs(start, f).forEach(r -> said.add(r.name() + " " + r.amount()));
        return new PricesPage.Cell(
                here + "&at=" + start.minute(),
                f.shortMoney(start.price()).replace("\u00a0" + f.symbol(), ""),
                left,
                shade,
                start.left() == 0,
                changed,
                chosen != null && chosen == start.minute(),
                String.join("; ", said));
    }

    /** How a start's price comes about, from the length's price on. */
    List<Rung> rungs(Start start, Formats f) {
        Line line = start.line();
        List<Rung> rungs = new ArrayList<>();
        Money running = line.unit();
        rungs.add(Rung.of(f.text("prices.unit"), f.money(running)));
        for (Line.Step step : line.steps()) {
            Money change = step.after().minus(running);
            rungs.add(Rung.of(
                    f.text("prices.rule", step.rule() + 1),
                    (change.minor() < 0 ? "\u2212 " : "+ ")
                            + f.money(change.minor() < 0 ? Money.ZERO.minus(change) : change)));
            running = step.after();
        }
        if (line.units() > 1 || offer.basis() == Offer.Basis.PERSON && line.party() > 1) {
            int times = line.units() * (offer.basis() == Offer.Basis.PERSON ? line.party() : 1);
            rungs.add(Rung.of(f.text("prices.times"), "× " + times));
        }
        rungs.add(Rung.of(f.text("prices.costs"), f.money(start.price()), Rung.Look.TOTAL));
        return rungs;
    }
}
