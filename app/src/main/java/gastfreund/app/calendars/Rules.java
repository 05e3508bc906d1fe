package gastfreund.app.calendars;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.function.Predicate;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;

/** Expands recurrence rules of other programs' calendars, in local times. */
final class Rules {

    /** What a rule may count to: what was before the time asked for has to be counted, too. */
    private static final int MOST_COUNT = 100_000;

    private static final long MOST_STEPS = 1_000_000;

    private Rules() {}

    /**
     * Goes through the starts of a rule, ascending, from some time before {@code from} on.
     *
     * @param text of the rule; its {@code UNTIL} is for the caller to keep, who knows the zone
     * @param each says whether to go on
     * @throws IllegalArgumentException where the text is no rule, or counts too far or in too many steps
     */
    static void each(String text, LocalDateTime start, LocalDateTime from, Predicate<LocalDateTime> each) {
        RecurrenceRule rule = parsed(text);
        if (rule.getUntil() != null) {
            rule.setUntil(null);
        }
        if (rule.getCount() != null && rule.getCount() > MOST_COUNT) {
            throw new IllegalArgumentException("it counts too far: " + text);
        }
        if (steps(rule, start, from) > MOST_STEPS) {
            throw new IllegalArgumentException("it goes in steps that are too small: " + text);
        }
        RecurrenceRuleIterator starts = rule.iterator(dateTime(start));
        if (from.isAfter(start)) {
            starts.fastForward(dateTime(from));
        }
        while (starts.hasNext()) {
            if (!each.test(local(starts.nextDateTime()))) {
                return;
            }
        }
    }

    /** How many steps lie between the start and a time, each of which the library takes. */
    private static long steps(RecurrenceRule rule, LocalDateTime start, LocalDateTime from) {
        ChronoUnit unit =
                switch (rule.getFreq()) {
                    case SECONDLY -> ChronoUnit.SECONDS;
                    case MINUTELY -> ChronoUnit.MINUTES;
                    case HOURLY -> ChronoUnit.HOURS;
                    default -> ChronoUnit.DAYS;
                };
        return unit.between(start, from) / Math.max(1, rule.getInterval());
    }

    /** Until when a rule goes on, as it is written; empty: it does not say. */
    static Optional<String> until(String text) {
        DateTime until = parsed(text).getUntil();
        return Optional.ofNullable(until).map(DateTime::toString);
    }

    private static RecurrenceRule parsed(String text) {
        try {
            return new RecurrenceRule(text.strip(), RecurrenceRule.RfcMode.RFC5545_LAX);
        } catch (InvalidRecurrenceRuleException e) {
            throw new IllegalArgumentException("no recurrence rule: " + text, e);
        }
    }

    /** The library counts months from 0. */
    private static DateTime dateTime(LocalDateTime local) {
        return new DateTime(
                local.getYear(),
                local.getMonthValue() - 1,
                local.getDayOfMonth(),
                local.getHour(),
                local.getMinute(),
                local.getSecond());
    }

    private static LocalDateTime local(DateTime time) {
        return LocalDateTime.of(
                time.getYear(),
                time.getMonth() + 1,
                time.getDayOfMonth(),
                time.getHours(),
                time.getMinutes(),
                time.getSeconds());
    }
}
