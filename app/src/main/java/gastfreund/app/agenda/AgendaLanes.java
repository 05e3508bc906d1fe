package gastfreund.app.agenda;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Links;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/** Draws openings as lanes: the hours of a day, or the days of a week, from left to right. */
class AgendaLanes {

    /** How many offers are drawn; more are found by a filter. */
    private static final int MOST_LANES = 100;

    /** How many openings of an offer are shown on a day of a week. */
    private static final int MOST_IN_WEEK = 4;

    private static final int QUARTER = 15;
    private static final int IN_HOUR = 4;
    private static final int DAY_HOURS = 24;

    /** How many hours are drawn at least, so that a block does not fill the page. */
    private static final int LEAST_HOURS = 8;

    private final Catalogue catalogue;
    private final Links links;
    private final Formats f;
    private final HouseZone zone;

    AgendaLanes(Catalogue catalogue, Links links, Formats f) {
        this.catalogue = catalogue;
        this.links = links;
        this.f = f;
        this.zone = catalogue.zone();
    }

    AgendaPage.Lanes day(List<Agenda.Lane> all, LocalDate date) {
        List<Agenda.Lane> lanes = all.stream().limit(MOST_LANES).toList();
        int first = DAY_HOURS;
        int last = 0;
        for (Agenda.Lane lane : lanes) {
            for (Agenda.Opening opening : lane.openings()) {
                Interval time = opening.slot().time();
                int begins = minuteOf(time.start());
                boolean sameDay = zone.dateOf(time.end()).equals(date);
                first = Math.min(first, begins / 60);
                last = Math.max(last, sameDay ? (minuteOf(time.end()) + 59) / 60 : begins / 60 + 1);
            }
        }
        first = Math.min(first, DAY_HOURS - LEAST_HOURS);
        int hours = Math.max(LEAST_HOURS, last - first);
        Map<Integer, List<AgendaPage.Part>> byHour = new TreeMap<>();
        for (int row = 0; row < lanes.size(); row++) {
            Agenda.Lane lane = lanes.get(row);
            boolean loose = isDense(lane);
            Map<Integer, List<AgendaPage.Chip>> chips = new TreeMap<>();
            for (int i = 0; i < lane.openings().size(); i++) {
                Agenda.Opening opening = lane.openings().get(i);
                int column = minuteOf(opening.slot().time().start()) / QUARTER - first * IN_HOUR;
                int next = i + 1 < lane.openings().size()
                        ? minuteOf(lane.openings().get(i + 1).slot().time().start()) / QUARTER - first * IN_HOUR
                        : hours * IN_HOUR;
                int span = Math.min(next - column, quarters(opening.slot().time()));
                chips.computeIfAbsent(column / IN_HOUR, h -> new ArrayList<>())
                        .add(chip(lane, opening, column + 1, Math.max(1, span)));
            }
            int at = row + 1;
            chips.forEach((hour, list) -> byHour.computeIfAbsent(hour, h -> new ArrayList<>())
                    .add(new AgendaPage.Part(at, lane.offer().title(), loose, list, 0)));
        }
        List<AgendaPage.Mark> axis = new ArrayList<>();
        for (int i = 0; i <= hours; i++) {
            axis.add(new AgendaPage.Mark(i * IN_HOUR + 1, hour(date, first + i).replace(":00", "")));
        }
        int begins = first;
        return new AgendaPage.Lanes(
                false,
                hours,
                axis,
                heads(lanes, this::facts),
                byHour.entrySet().stream()
                        .map(e -> new AgendaPage.Group(
                                e.getKey() * IN_HOUR + 1, hour(date, begins + e.getKey()), null, e.getValue()))
                        .toList(),
                all.size() - lanes.size());
    }

    AgendaPage.Lanes week(List<List<Agenda.Lane>> days, LocalDate first, Function<LocalDate, String> address) {
        Map<OfferId, Agenda.Lane> offers = new LinkedHashMap<>();
        days.forEach(
                lanes -> lanes.forEach(lane -> offers.putIfAbsent(lane.offer().id(), lane)));
        List<Agenda.Lane> ordered = catalogue.listed().stream()
                .filter(o -> offers.containsKey(o.id()))
                .map(o -> offers.get(o.id()))
                .toList();
        List<Agenda.Lane> drawn = ordered.stream().limit(MOST_LANES).toList();
        Map<OfferId, Integer> rows = new LinkedHashMap<>();
        drawn.forEach(lane -> rows.put(lane.offer().id(), rows.size() + 1));
        List<AgendaPage.Mark> axis = new ArrayList<>();
        List<AgendaPage.Group> groups = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            LocalDate date = first.plusDays(i);
            axis.add(new AgendaPage.Mark(i + 1, f.shortDay(date)));
            List<AgendaPage.Part> parts = days.get(i).stream()
                    .filter(lane -> rows.containsKey(lane.offer().id()))
                    .map(lane -> new AgendaPage.Part(
                            rows.getOrDefault(lane.offer().id(), 0),
                            lane.offer().title(),
                            true,
                            lane.openings().stream()
                                    .limit(MOST_IN_WEEK)
                                    .map(o -> chip(lane, o, 1, 1))
                                    .toList(),
                            Math.max(0, lane.openings().size() - MOST_IN_WEEK)))
                    .toList();
            if (!parts.isEmpty()) {
                groups.add(new AgendaPage.Group(i + 1, f.day(date), address.apply(date), parts));
            }
        }
        return new AgendaPage.Lanes(
                true,
                days.size(),
                axis,
                heads(drawn, lane -> f.duration(lane.length().minutes())),
                groups,
                ordered.size() - drawn.size());
    }

    private List<AgendaPage.Head> heads(List<Agenda.Lane> lanes, Function<Agenda.Lane, String> facts) {
        List<AgendaPage.Head> heads = new ArrayList<>();
        for (Agenda.Lane lane : lanes) {
            heads.add(new AgendaPage.Head(
                    heads.size() + 1,
                    links.offer(lane.offer().id()),
                    lane.offer().title(),
                    facts.apply(lane)));
        }
        return heads;
    }

    private String facts(Agenda.Lane lane) {
        String length = f.duration(lane.length().minutes());
        if (catalogue.isAgreed(lane.offer().id())) {
            return f.text("agenda.facts", length, f.text("price.agreed"));
        }
        List<Long> prices = lane.openings().stream()
                .map(o -> o.slot().price().minor())
                .sorted()
                .toList();
        Money lowest = Money.ofMinor(prices.get(0));
        boolean same = prices.get(0).equals(prices.get(prices.size() - 1));
        return f.text("agenda.facts", length, same ? f.shortMoney(lowest) : f.fromMoney(lowest));
    }

    /** An opening as it is taken, at a place in its lane. */
    AgendaPage.Chip chip(Agenda.Lane lane, Agenda.Opening opening, int column, int span) {
        Offer offer = lane.offer();
        Interval time = opening.slot().time();
        boolean agreed = catalogue.isAgreed(offer.id());
        String price =
                agreed ? f.text("agenda.asked") : f.shortMoney(opening.slot().price());
        List<String> words = new ArrayList<>(List.of(f.times(time)));
        String until = opening.slot().until(f);
        String left = offer.sharing().shared()
                ? f.text("offer.seatsLeft", opening.slot().left())
                : until;
        words.add(until);
        if (!opening.slot().staff().isEmpty()) {
            words.add(f.text("agenda.with", opening.slot().staff()));
        }
        if (opening.place() != null && catalogue.house().places().size() > 1) {
            words.add(catalogue.house().place(opening.place()).name());
        }
        words.add(agreed ? f.text("price.agreed") : price);
        words.add(left.equals(until) ? "" : left);
        words.removeIf(String::isEmpty);
        return new AgendaPage.Chip(
                Taken.written(offer, lane.length(), opening),
                f.text("agenda.opening", offer.title(), String.join(", ", words)),
                f.time(time.start()),
                price,
                agreed ? price : bare(opening.slot().price(), price),
                left,
                column,
                span);
    }

    /** An amount without its currency; one that is nothing is said as such. */
    private String bare(Money amount, String words) {
        String whole = f.bareMoney(amount);
        return amount.isZero() ? words : whole.isEmpty() ? f.field(amount) : whole;
    }

    /** Whether two begin in the same quarter of an hour, so that they cannot stand at their times. */
    private boolean isDense(Agenda.Lane lane) {
        Set<Integer> quarters = new HashSet<>();
        return lane.openings().stream()
                .anyMatch(o -> !quarters.add(minuteOf(o.slot().time().start()) / QUARTER));
    }

    private static int quarters(Interval time) {
        return (int) Math.min(DAY_HOURS * IN_HOUR, (time.end() - time.start() + QUARTER - 1) / QUARTER);
    }

    /** The minute of its day, by the house's clocks. */
    private int minuteOf(long minute) {
        LocalDateTime local = zone.localOf(minute);
        return local.getHour() * 60 + local.getMinute();
    }

    private String hour(LocalDate date, int hour) {
        return f.time(zone.minuteOf(hour == DAY_HOURS ? date.plusDays(1).atStartOfDay() : date.atTime(hour, 0)));
    }
}
