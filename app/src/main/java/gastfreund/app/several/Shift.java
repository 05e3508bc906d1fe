package gastfreund.app.several;

import gastfreund.core.time.HouseZone;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * By how much all of them are moved.
 *
 * @param amount may be negative: earlier
 */
record Shift(int amount, Unit unit) {

    private static final Pattern AMOUNT = Pattern.compile("[+-]?\\d{1,3}");

    /** In what it is counted; days and weeks keep the time of the day. */
    enum Unit {
        MINUTES,
        HOURS,
        DAYS,
        WEEKS;

        String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** As forms say it; empty where they say none, or one by nothing. */
    static Optional<Shift> of(String amount, String unit) {
        String typed = amount.strip().replace('\u2212', '-');
        return Arrays.stream(Unit.values())
                .filter(u -> u.code().equals(unit) && AMOUNT.matcher(typed).matches())
                .map(u -> new Shift(Integer.parseInt(typed), u))
                .filter(s -> s.amount() != 0)
                .findFirst();
    }

    /** The new start of something that begins at a start, both in minutes since the epoch. */
    long of(long start, HouseZone zone) {
        return switch (unit) {
            case MINUTES -> start + amount;
            case HOURS -> start + amount * 60L;
            case DAYS -> zone.minuteOf(zone.localOf(start).plusDays(amount));
            case WEEKS -> zone.minuteOf(zone.localOf(start).plusWeeks(amount));
        };
    }
}
