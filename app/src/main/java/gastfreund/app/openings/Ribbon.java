package gastfreund.app.openings;

import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.HouseZone;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The ribbon of days: five weeks, each date with how much is open and its lowest price, or why nothing is.
 *
 * @param selected the date whose openings are shown
 */
public record Ribbon(List<Day> days, Day selected) {

    /** How many dates a ribbon has. */
    public static final int DAYS = 35;

    private static final int MOST_AGAINST = 3;

    /** Why a date has no opening, in a guest's words. */
    public enum Why {
        OVER,
        TOO_SOON,
        TOO_FAR,
        NO_SEASON,
        CLOSED,
        NOTHING_PLANNED,
        BOOKED_OUT
    }

    /**
     * @param height of its bar, 0 to 100
     * @param lowest null where nothing is open
     * @param why null where something is open
     * @param startsWeek whether a week begins with it
     * @param against what stands against its starts, as the engine says it, the most frequent first; empty where something is open
     */
    public record Day(
            LocalDate date,
            List<Slot> slots,
            int height,
            @Nullable Money lowest,
            @Nullable Why why,
            boolean startsWeek,
            List<String> against) {

        public boolean isOpen() {
            return !slots.isEmpty();
        }
    }

    /** The lowest price of all dates, where it is not the same on all of them; null: it is. */
    public @Nullable Money cheapest() {
        List<Money> prices = days.stream()
                .flatMap(d -> Optional.ofNullable(d.lowest()).stream())
                .distinct()
                .sorted()
                .toList();
        return prices.size() < 2 ? null : prices.get(0);
    }

    /**
     * A ribbon of openings, with an explanation of dates that have none.
     *
     * @param wanted the date to select; null or not among the dates: the first with an opening
     * @param week the day with which weeks begin
     */
    static Ribbon of(Answer answer, LocalDate first, @Nullable LocalDate wanted, House house, DayOfWeek week) {
        HouseZone zone = house.zone();
        Map<LocalDate, List<Answer.Entry>> byDate = new TreeMap<>();
        for (int i = 0; i < DAYS; i++) {
            byDate.put(first.plusDays(i), new ArrayList<>());
        }
        for (Answer.Entry entry : answer.entries()) {
            byDate.computeIfAbsent(zone.dateOf(entry.time().start()), d -> new ArrayList<>())
                    .add(entry);
        }
        int most = byDate.values().stream().mapToInt(Ribbon::openIn).max().orElse(0);
        List<Day> days = new ArrayList<>();
        byDate.forEach((date, entries) -> days.add(day(date, entries, most, house, date.getDayOfWeek() == week)));
        Day selected = days.stream()
                .filter(d -> d.date().equals(wanted))
                .findFirst()
                .or(() -> days.stream().filter(Day::isOpen).findFirst())
                .orElse(days.get(0));
        return new Ribbon(List.copyOf(days), selected);
    }

    private static int openIn(List<Answer.Entry> entries) {
        return (int) entries.stream().filter(Answer.Entry::isOpen).count();
    }

    private static Day day(LocalDate date, List<Answer.Entry> entries, int most, House house, boolean startsWeek) {
        List<Slot> slots = entries.stream()
                .filter(Answer.Entry::isOpen)
                .map(e -> Slot.of(e, house))
                .toList();
        if (slots.isEmpty()) {
            return new Day(date, slots, 0, null, why(entries), startsWeek, against(entries));
        }
        Money lowest = slots.stream().map(Slot::price).min(Money::compareTo).orElseThrow();
        return new Day(date, slots, Math.max(12, 100 * slots.size() / most), lowest, null, startsWeek, List.of());
    }

    private static List<String> against(List<Answer.Entry> entries) {
        Map<String, Integer> counts = new TreeMap<>();
        entries.stream()
                .flatMap(e -> e.options().stream())
                .flatMap(o -> o.reasons().stream())
                .forEach(r -> counts.merge(r.code(), 1, Integer::sum));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(MOST_AGAINST)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The one thing that best says why a date has nothing: what stands against the starts that are within hours. */
    private static Why why(List<Answer.Entry> entries) {
        List<List<Reason>> inHours = entries.stream()
                .flatMap(e -> e.options().stream())
                .map(Answer.Judged::reasons)
                .filter(r -> r.stream().noneMatch(x -> x instanceof Reason.OutsideHours || x instanceof Reason.Closed))
                .toList();
        if (entries.isEmpty()) {
            return Why.NOTHING_PLANNED;
        }
        if (inHours.isEmpty()) {
            return Why.CLOSED;
        }
        if (inHours.stream().allMatch(r -> r.get(0) instanceof Reason.Past)) {
            return Why.OVER;
        }
        List<Reason> last = inHours.get(inHours.size() - 1);
        if (last.get(0) instanceof Reason.Horizon) {
            return Why.TOO_FAR;
        }
        if (last.get(0) instanceof Reason.Season) {
            return Why.NO_SEASON;
        }
        boolean onlySoon =
                inHours.stream().allMatch(r -> r.get(0) instanceof Reason.Past || r.get(0) instanceof Reason.Notice);
        return onlySoon ? Why.TOO_SOON : Why.BOOKED_OUT;
    }
}
