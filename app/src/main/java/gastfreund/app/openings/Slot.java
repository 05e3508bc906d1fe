package gastfreund.app.openings;

import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.Interval;
import java.util.List;
import java.util.stream.Collectors;

/**
 * An opening as a guest sees it: the cheapest of its options decides the price.
 *
 * @param staff the names of those who could serve at that price
 * @param left how many more could come
 */
public record Slot(Interval time, Money price, String staff, int left) {

    public static Slot of(Answer.Entry entry, House house) {
        Money price = entry.open().stream()
                .map(o -> o.opening().price())
                .min(Money::compareTo)
                .orElseThrow();
        List<Answer.Judged> same = entry.open().stream()
                .filter(o -> o.opening().price().equals(price))
                .toList();
        String staff = same.stream()
                .map(o -> o.staff().stream().map(s -> nameOf(house, s)).collect(Collectors.joining(" + ")))
                .filter(n -> !n.isEmpty())
                .collect(Collectors.joining(", "));
        int left = entry.open().stream().mapToInt(o -> o.opening().left()).sum();
        return new Slot(entry.time(), price, staff, left);
    }

    /** Whether nothing stands against an entry but that too many come already. */
    public static boolean isFull(Answer.Entry entry) {
        return entry.options().stream()
                .anyMatch(o -> !o.reasons().isEmpty() && o.reasons().stream().allMatch(Reason.Seats.class::isInstance));
    }

    private static String nameOf(House house, StaffId id) {
        return house.staff(id).name();
    }
}
