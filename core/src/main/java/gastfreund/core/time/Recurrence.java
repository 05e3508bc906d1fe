package gastfreund.core.time;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.Freq;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.jspecify.annotations.Nullable;

/**
 * Local starts that return by an RFC 5545 rule, without some dates ({@code docs/openings.md}, "Mode timetable"). The
 * rule is expanded in local time; what is worked out once is kept, so that asking again costs a search.
 */
public final class Recurrence {

    /** The most starts that one recurrence may have before a date that is asked about. */
    public static final int MOST = 200_000;

    private static final int MOST_IN_TWO_YEARS = 20_000;
    private static final int LONGEST_INTERVAL_DAYS = 36_600;
    private static final int DAY = 1440;

    private final LocalDateTime start;
    private final @Nullable String rule;
    private final Set<LocalDate> without;
    private final @Nullable RecurrenceRule parsed;
    private volatile @Nullable Expanded expanded;

    /** The starts up to a date, in local minutes since 1970-01-01T00:00, ascending, dates left out already. */
    private record Expanded(LocalDate until, long[] starts) {}

    private Recurrence(
            LocalDateTime start, @Nullable String rule, @Nullable RecurrenceRule parsed, Set<LocalDate> without) {
        this.start = start;
        this.rule = rule;
        this.parsed = parsed;
        this.without = without;
    }

    /**
     * One start that does not return.
     *
     * @throws IllegalArgumentException where it is not a whole minute
     */
    public static Recurrence once(LocalDateTime start) {
        return new Recurrence(wholeMinute(start), null, null, Set.of());
    }

    /**
     * A start that returns by a rule.
     *
     * @param rule {@code FREQ=WEEKLY;COUNT=6} and the like; null: it does not return
     * @param without dates on which it is left out; they count towards {@code COUNT}
     * @throws IllegalArgumentException where the start is not a whole minute, the text is no rule, the rule does not
     *     produce the start, never produces anything again although it goes on, has {@code UNTIL} in UTC, lasts too long
     *     between two starts or has too many of them
     */
    public static Recurrence of(LocalDateTime start, @Nullable String rule, Set<LocalDate> without) {
        if (rule == null) {
            return new Recurrence(wholeMinute(start), null, null, new TreeSet<>(without));
        }
        Recurrence recurrence = new Recurrence(wholeMinute(start), rule, parse(rule), new TreeSet<>(without));
        recurrence.checkFirstTwoYears();
        return recurrence;
    }

    private static LocalDateTime wholeMinute(LocalDateTime start) {
        if (start.getSecond() != 0 || start.getNano() != 0) {
            throw new IllegalArgumentException("not a whole minute: " + start);
        }
        return start;
    }

    private static RecurrenceRule parse(String text) {
        try {
            RecurrenceRule rule = new RecurrenceRule(text, RecurrenceRule.RfcMode.RFC5545_STRICT);
            DateTime until = rule.getUntil();
            if (until != null && !until.isFloating()) {
                throw new IllegalArgumentException("UNTIL is a local time and must not end in Z: " + text);
            }
            if (until != null && until.isAllDay()) {
                rule.setUntil(new DateTime(until.getYear(), until.getMonth(), until.getDayOfMonth(), 23, 59, 59));
            }
            if ((long) rule.getInterval() * daysOf(rule.getFreq()) > LONGEST_INTERVAL_DAYS) {
                throw new IllegalArgumentException("more than a century lies between two starts: " + text);
            }
            return rule;
        } catch (InvalidRecurrenceRuleException e) {
            throw new IllegalArgumentException("no recurrence rule: " + text + " (" + e.getMessage() + ")", e);
        }
    }

    private static int daysOf(Freq freq) {
        return switch (freq) {
            case YEARLY -> 366;
            case MONTHLY -> 31;
            case WEEKLY -> 7;
            default -> 1;
        };
    }

    private void checkFirstTwoYears() {
        Steps steps = new Steps();
        if (steps.next != localMinute(start)) {
            throw new IllegalArgumentException("the rule does not produce its own start " + start + ": " + rule);
        }
        long end = localMinute(start.plusYears(2));
        int n = 0;
        for (; steps.next < end; steps.step()) {
            if (++n > MOST_IN_TWO_YEARS) {
                throw new IllegalArgumentException("more than " + MOST_IN_TWO_YEARS + " starts in two years: " + rule);
            }
        }
    }

    /** When it starts first, unless that date is left out. */
    public LocalDateTime start() {
        return start;
    }

    /** The rule as it was given; empty where it does not return. */
    public Optional<String> rule() {
        return Optional.ofNullable(rule);
    }

    /** The dates that are left out, ascending. */
    public Set<LocalDate> without() {
        return without;
    }

    /**
     * The starts on some dates.
     *
     * @param from the first date (inclusive)
     * @param to the last date (inclusive)
     * @return local minutes since 1970-01-01T00:00, ascending
     * @throws IllegalArgumentException where more than {@value #MOST} starts lie before the last date
     */
    public long[] between(LocalDate from, LocalDate to) {
        if (to.isBefore(start.toLocalDate())) {
            return new long[0];
        }
        long[] starts = upTo(to);
        int first = firstAtOrAfter(starts, from.toEpochDay() * DAY);
        int end = firstAtOrAfter(starts, (to.toEpochDay() + 1) * DAY);
        return first >= end ? new long[0] : Arrays.copyOfRange(starts, first, end);
    }

    private long[] upTo(LocalDate date) {
        Expanded known = expanded;
        if (known == null || known.until.isBefore(date)) {
            LocalDate twoYears = start.toLocalDate().plusYears(2);
            LocalDate until = date.isBefore(twoYears) ? twoYears : date.plusYears(1);
            known = new Expanded(until, expand((until.toEpochDay() + 1) * DAY));
            expanded = known;
        }
        return known.starts;
    }

    private long[] expand(long end) {
        if (rule == null) {
            return without.contains(start.toLocalDate()) ? new long[0] : new long[] {localMinute(start)};
        }
        long[] starts = new long[64];
        int n = 0;
        int met = 0;
        for (Steps steps = new Steps(); steps.next < end; steps.step()) {
            if (++met > MOST) {
                throw new IllegalArgumentException("more than " + MOST + " starts before the date: " + rule);
            }
            if (!without.contains(LocalDate.ofEpochDay(Math.floorDiv(steps.next, DAY)))) {
                if (n == starts.length) {
                    starts = Arrays.copyOf(starts, n * 2);
                }
                starts[n++] = steps.next;
            }
        }
        return Arrays.copyOf(starts, n);
    }

    private static int firstAtOrAfter(long[] ascending, long value) {
        int found = Arrays.binarySearch(ascending, value);
        return found >= 0 ? found : -found - 1;
    }

    private static long localMinute(LocalDateTime local) {
        return local.toLocalDate().toEpochDay() * DAY + local.toLocalTime().toSecondOfDay() / 60;
    }

    /** A local minute as a local date and time. */
    public static LocalDateTime localOf(long localMinute) {
        return LocalDate.ofEpochDay(Math.floorDiv(localMinute, DAY))
                .atTime(LocalTime.ofSecondOfDay(Math.floorMod(localMinute, DAY) * 60L));
    }

    /** The rule's starts, one after the other; {@link Long#MAX_VALUE} when there are no more. */
    private final class Steps {

        private final RecurrenceRuleIterator iterator;
        private long next;

        Steps() {
            DateTime first = new DateTime(
                    start.getYear(),
                    start.getMonthValue() - 1,
                    start.getDayOfMonth(),
                    start.getHour(),
                    start.getMinute(),
                    0);
            RecurrenceRule rule = Objects.requireNonNull(parsed, "only what returns has steps");
            iterator = unlessEndless(() -> rule.iterator(first));
            step();
        }

        void step() {
            next = unlessEndless(() -> iterator.hasNext() ? localMinute(iterator.nextDateTime()) : Long.MAX_VALUE);
        }

        private <T> T unlessEndless(Supplier<T> search) {
            try {
                return search.get();
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("the rule produces nothing more and does not end: " + rule, e);
            }
        }

        private long localMinute(DateTime at) {
            return LocalDate.of(at.getYear(), at.getMonth() + 1, at.getDayOfMonth())
                                    .toEpochDay()
                            * DAY
                    + at.getHours() * 60L
                    + at.getMinutes();
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Recurrence r
                && start.equals(r.start)
                && Objects.equals(rule, r.rule)
                && without.equals(r.without);
    }

    @Override
    public int hashCode() {
        return Objects.hash(start, rule, without);
    }

    @Override
    public String toString() {
        return start + (rule == null ? "" : " " + rule) + (without.isEmpty() ? "" : " without " + without);
    }
}
