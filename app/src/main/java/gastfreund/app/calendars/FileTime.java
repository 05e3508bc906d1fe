package gastfreund.app.calendars;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Period;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A time or a date in a calendar.
 *
 * @param day whether it is a date
 */
record FileTime(LocalDateTime local, FileZone zone, boolean day) {

    private static final Pattern TIME = Pattern.compile("(\\d{4})(\\d{2})(\\d{2})(?:T(\\d{2})(\\d{2})(\\d{2})Z?)?");
    private static final Pattern LENGTH = Pattern.compile(
            "[+]?P(?:(\\d{1,6})W)?(?:(\\d{1,6})D)?(?:T(?:(\\d{1,6})H)?(?:(\\d{1,6})M)?(?:(\\d{1,8})S)?)?");

    private static final int LEAP_SECOND = 60;

    Instant instant() {
        return zone.instant(local);
    }

    static boolean isUtc(String text) {
        return text.strip().endsWith("Z");
    }

    static boolean isDay(String text) {
        return text.indexOf('T') < 0;
    }

    /**
     * A date, or a date and time, without regard to any zone.
     *
     * @throws IllegalArgumentException where it is neither
     */
    static LocalDateTime local(String text) {
        Matcher matcher = TIME.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("no time: " + text);
        }
        try {
            LocalDate date = LocalDate.of(number(matcher, 1), number(matcher, 2), number(matcher, 3));
            return date.atTime(
                    matcher.group(4) == null
                            ? LocalTime.MIDNIGHT
                            : LocalTime.of(
                                    number(matcher, 4),
                                    number(matcher, 5),
                                    Math.min(number(matcher, 6), LEAP_SECOND - 1)));
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("no time: " + text, e);
        }
    }

    /**
     * How long something lasts: days as the calendar counts them, hours and less as they pass.
     *
     * @param days weeks among them
     */
    record Length(Period days, Duration rest) {}

    /** @throws IllegalArgumentException where it is no length, or less than nothing */
    static Length length(String text) {
        Matcher matcher = LENGTH.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("no length: " + text);
        }
        return new Length(
                Period.ofDays(7 * number(matcher, 1) + number(matcher, 2)),
                Duration.ofHours(number(matcher, 3))
                        .plusMinutes(number(matcher, 4))
                        .plusSeconds(number(matcher, 5)));
    }

    private static int number(Matcher matcher, int group) {
        return matcher.group(group) == null ? 0 : Integer.parseInt(matcher.group(group));
    }
}
