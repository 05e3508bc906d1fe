package gastfreund.app.openings;

import gastfreund.core.money.Money;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** A year of an offer as months of small squares, for those who look for a date far off. */
public record Months(List<Month> months) {

    /** How many months are shown at most. */
    static final int SHOWN = 12;

    private static final int LEVELS = 3;
    private static final int WEEK = 7;

    /** @param blanks how many squares of its first week belong to the month before */
    public record Month(LocalDate first, int blanks, List<Square> squares) {}

    /**
     * A date.
     *
     * @param level how much is open, 0 (nothing) to 3
     * @param lowest the lowest price; null: nothing is open
     * @param address of the date; null: it is over
     */
    public record Square(LocalDate date, int level, int starts, @Nullable Money lowest, @Nullable String address) {}

    /** What a date has. */
    record Open(int starts, Money lowest) {}

    /**
     * @param first a date of the first month
     * @param open those dates that have something
     * @param week the day with which weeks begin
     */
    static Months of(
            LocalDate first,
            LocalDate today,
            Map<LocalDate, Open> open,
            DayOfWeek week,
            Choice choice,
            @Nullable String basket) {
        int most = open.values().stream().mapToInt(Open::starts).max().orElse(1);
        YearMonth begin = YearMonth.from(first);
        // Months after the last with something are of no use, but for one that says so.
        long used = open.keySet().stream()
                .mapToLong(d -> ChronoUnit.MONTHS.between(begin, YearMonth.from(d)) + 2)
                .max()
                .orElse(2);
        return new Months(IntStream.range(0, (int) Math.min(SHOWN, used))
                .mapToObj(begin::plusMonths)
                .map(month -> new Month(
                        month.atDay(1),
                        Math.floorMod(month.atDay(1).getDayOfWeek().getValue() - week.getValue(), WEEK),
                        month.atDay(1)
                                .datesUntil(month.plusMonths(1).atDay(1))
                                .map(date -> square(date, today, open.get(date), most, choice, basket))
                                .toList()))
                .toList());
    }

    private static Square square(
            LocalDate date, LocalDate today, @Nullable Open open, int most, Choice choice, @Nullable String basket) {
        String address = date.isBefore(today) ? null : choice.withDay(date).address(basket);
        return open == null
                ? new Square(date, 0, 0, null, address)
                : new Square(
                        date,
                        Math.max(1, (open.starts() * LEVELS + most - 1) / most),
                        open.starts(),
                        open.lowest(),
                        address);
    }
}
