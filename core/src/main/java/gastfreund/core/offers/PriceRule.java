package gastfreund.core.offers;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Changes a unit's price where all its conditions hold ({@code docs/money.md}, step 2). A set that is empty, a null and
 * an empty number mean no condition.
 *
 * @param change what it does to the running price
 * @param from local minute of day at which the unit begins, inclusive; empty: none
 * @param to exclusive; at or before {@code from} the range crosses midnight and belongs to the date it began on
 * @param days weekdays of that date
 * @param firstDate inclusive; null: none
 * @param lastDate inclusive; null: none
 * @param hoursAhead bounds on the time between now and the booking's start
 * @param party bounds on the party
 */
public record PriceRule(
        Change change,
        OptionalInt from,
        OptionalInt to,
        Set<DayOfWeek> days,
        @Nullable LocalDate firstDate,
        @Nullable LocalDate lastDate,
        Range hoursAhead,
        Range party,
        Set<StaffId> staff,
        Set<PlaceId> places,
        Set<LengthId> lengths) {

    /** What a rule does to the running price. */
    public sealed interface Change {

        /** The new running price, before it is kept from falling below nothing. */
        Money of(Money running);

        /** Adds a percentage of the running price. */
        record Share(Percent percent) implements Change {
            @Override
            public Money of(Money running) {
                return running.plus(percent.of(running));
            }
        }

        /** Adds an amount. */
        record Add(Money amount) implements Change {
            @Override
            public Money of(Money running) {
                return running.plus(amount);
            }
        }

        /** Replaces the price. */
        record Set(Money amount) implements Change {
            @Override
            public Money of(Money running) {
                return amount;
            }
        }
    }

    /** At least (inclusive) and less than (exclusive); an empty bound is none. */
    public record Range(OptionalInt atLeast, OptionalInt lessThan) {

        public static Range any() {
            return new Range(OptionalInt.empty(), OptionalInt.empty());
        }
    }

    public PriceRule {
        days = Set.copyOf(days);
        staff = Set.copyOf(staff);
        places = Set.copyOf(places);
        lengths = Set.copyOf(lengths);
    }

    /** Whether all conditions hold for a unit that begins at {@code begins}. */
    boolean holds(Line line, LocalDateTime begins) {
        int minute = begins.getHour() * 60 + begins.getMinute();
        boolean crosses = from.isPresent() && to.isPresent() && to.getAsInt() <= from.getAsInt();
        boolean inRange = crosses
                ? minute >= from.getAsInt() || minute < to.getAsInt()
                : (from.isEmpty() || minute >= from.getAsInt()) && (to.isEmpty() || minute < to.getAsInt());
        if (!inRange) {
            return false;
        }
        LocalDate date = begins.toLocalDate().minusDays(crosses && minute < to.getAsInt() ? 1 : 0);
        return (days.isEmpty() || days.contains(date.getDayOfWeek()))
                && (firstDate == null || !date.isBefore(firstDate))
                && (lastDate == null || !date.isAfter(lastDate))
                && line.isAhead(hoursAhead)
                && within(party, line.party())
                && (staff.isEmpty() || line.staff().stream().anyMatch(staff::contains))
                && (places.isEmpty() || line.place() != null && places.contains(line.place()))
                && (lengths.isEmpty() || lengths.contains(line.length().id()));
    }

    private static boolean within(Range range, int number) {
        return (range.atLeast().isEmpty() || number >= range.atLeast().getAsInt())
                && (range.lessThan().isEmpty() || number < range.lessThan().getAsInt());
    }
}
