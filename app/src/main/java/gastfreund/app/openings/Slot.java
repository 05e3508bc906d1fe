package gastfreund.app.openings;

import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.offers.House;
import gastfreund.core.offers.StaffId;
import gastfreund.core.openings.Answer;
import gastfreund.core.openings.Reason;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.List;
import java.util.StringJoiner;
import java.util.stream.Collectors;

/**
 * An opening as a guest sees it: the cheapest of its options decides the price.
 *
 * @param staff the names of those who could serve at that price
 * @param left how many more could come
 */
public record Slot(Interval time, Money price, String staff, int left) {

    public static Slot of(Answer.Entry entry, House house) {
        List<Answer.Judged> open = entry.open();
        Money price = open.get(0).opening().price();
        int left = 0;
        for (Answer.Judged option : open) {
            price = price.compareTo(option.opening().price()) <= 0
                    ? price
                    : option.opening().price();
            left += option.opening().left();
        }
        StringJoiner staff = new StringJoiner(", ");
        for (Answer.Judged option : open) {
            if (option.opening().price().equals(price) && !option.staff().isEmpty()) {
                staff.add(option.staff().stream().map(s -> nameOf(house, s)).collect(Collectors.joining(" + ")));
            }
        }
        return new Slot(entry.time(), price, staff.toString(), left);
    }

    /** The same at another time. */
    Slot at(Interval other) {
        return new Slot(other, price, staff, left);
    }

    /** Until which day it goes on, in words; empty where it is over on the day on which it begins. */
    public String until(Formats f) {
        LocalDate ends = f.zone().dateOf(time.end());
        return f.zone().dateOf(time.end() - 1).equals(f.zone().dateOf(time.start()))
                ? ""
                : f.text("offer.untilDay", f.shortDay(ends));
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
