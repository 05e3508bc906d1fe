package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.time.DateTimeException;
import java.time.LocalTime;

/**
 * The hours in which the house sends nobody a text message; over midnight where the end is before the beginning.
 *
 * @param from inclusive
 * @param to exclusive; the same as {@code from}: there are none
 */
public record Quiet(LocalTime from, LocalTime to) {

    static Quiet of(Node extra) {
        return extra.member("quiet")
                .map(quiet -> quiet.object("from", "to"))
                .map(quiet -> new Quiet(time(quiet.required("from")), time(quiet.required("to"))))
                .orElse(new Quiet(LocalTime.of(21, 0), LocalTime.of(8, 0)));
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
