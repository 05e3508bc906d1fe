package gastfreund.app.openings;

import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.HouseZone;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.IdentityHashMap;
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
     */
    public record Day(
            LocalDate date,
            List<Slot> slots,
            int height,
            @Nullable Money lowest,
            @Nullable Why why,
            boolean startsWeek) {

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
     * @param planned whether the offer has dates of its own
     * @param week the day with which weeks begin
     */
    static Ribbon of(
            Answer answer, LocalDate first, @Nullable LocalDate wanted, House house, boolean planned, DayOfWeek week) {
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
        Slots slots = new Slots(house);
        List<Day> days = new ArrayList<>();
        byDate.forEach((date, entries) -> {
            List<Slot> open = slots.of(entries);
            days.add(new Day(
                    date,
                    open,
                    open.isEmpty() ? 0 : Math.max(12, 100 * open.size() / most),
                    open.stream().map(Slot::price).min(Money::compareTo).orElse(null),
                    open.isEmpty() ? why(date, entries, house, planned) : null,
                    date.getDayOfWeek() == week));
        });
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

    /** Makes the slots of entries; what is open in the same way at many times is looked at once. */
    private static final class Slots {

        private final House house;
        private final Map<List<Answer.Judged>, Slot> alike = new IdentityHashMap<>();

        Slots(House house) {
            this.house = house;
        }

        List<Slot> of(List<Answer.Entry> entries) {
            List<Slot> slots = new ArrayList<>();
            for (Answer.Entry entry : entries) {
                if (entry.isOpen()) {
                    slots.add(alike.computeIfAbsent(entry.options(), o -> Slot.of(entry, house))
                            .at(entry.time()));
                }
            }
            return List.copyOf(slots);
        }
    }

    /** The one thing that best says why a date has nothing: what stands against the starts that are within hours. */
    private static Why why(LocalDate date, List<Answer.Entry> entries, House house, boolean planned) {
        if (entries.isEmpty() && planned) {
            return Why.NOTHING_PLANNED;
        }
        if (house.hours().closedOn(date)) {
            return Why.CLOSED;
        }
        List<List<Reason>> inHours = entries.stream()
                .flatMap(e -> e.options().stream())
                .map(Answer.Judged::reasons)
                .filter(r -> r.stream().noneMatch(x -> x instanceof Reason.OutsideHours || x instanceof Reason.Closed))
                .toList();
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
