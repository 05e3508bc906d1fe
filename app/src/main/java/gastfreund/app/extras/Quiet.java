package gastfreund.app.extras;

import gastfreund.core.letters.QuietHours;
import gastfreund.housefile.Node;
import java.time.DateTimeException;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * The hours in which the house sends nobody a text message; over midnight where the end is before the beginning.
 *
 * @param from inclusive
 * @param to exclusive; the same as {@code from}: there are none
 */
public record Quiet(LocalTime from, LocalTime to) {

    private static final int DAY = 24 * 60;
    private static final int LEAST_LEFT = 60;

    static Quiet of(Node extra) {
        return extra.member("quiet")
                .map(quiet -> quiet.object("from", "to"))
                .map(Quiet::read)
                .orElse(new Quiet(LocalTime.of(21, 0), LocalTime.of(8, 0)));
    }

    private static Quiet read(Node node) {
        LocalTime from = time(node.required("from"));
        LocalTime to = time(node.required("to"));
        long quiet = Math.floorMod(ChronoUnit.MINUTES.between(from, to), DAY);
        if (quiet > DAY - LEAST_LEFT) {
            node.problem("must leave at least an hour of every day");
            return new Quiet(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT);
        }
        return new Quiet(from, to);
    }

    /** The same as hours of every date; empty where there are none. */
    public Optional<QuietHours> hours() {
        return from.equals(to)
                ? Optional.empty()
                : Optional.of(QuietHours.of(from.toSecondOfDay() / 60, to.toSecondOfDay() / 60));
    }

    private static LocalTime time(Node node) {
        try {
            return LocalTime.parse(node.text());
        } catch (DateTimeException e) {
            node.problem("must be a time as 21:00");
            return LocalTime.MIDNIGHT;
        }
    }
}
