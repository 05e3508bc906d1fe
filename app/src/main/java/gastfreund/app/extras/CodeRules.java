package gastfreund.app.extras;

import gastfreund.housefile.Node;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Optional;

/**
 * What the house wants of a promo code beside what the core knows.
 *
 * @param perGuest how often one guest can use it, told by mail address; 0: as often as they like
 */
public record CodeRules(int perGuest) {

    private static final int MOST = 1000;
    private static final CodeRules NONE = new CodeRules(0);

    public static CodeRules none() {
        return NONE;
    }

    static CodeRules of(Node extra) {
        return new CodeRules(extra.integer("perGuest", 1, MOST, 0));
    }

    /** A code that ends before it begins could never be used. What is no date is told by the reader of the file. */
    static void checkDates(Node code) {
        Optional<Instant> from = instant(code, "from");
        Optional<Instant> to = instant(code, "to");
        if (from.isPresent() && to.isPresent() && !to.get().isAfter(from.get())) {
            code.at("to").problem("must be after it begins");
        }
    }

    private static Optional<Instant> instant(Node code, String member) {
        try {
            return Optional.of(OffsetDateTime.parse(code.json().path(member).stringValue(""))
                    .toInstant());
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** Whether somebody who has used it so often can use it once more. */
    public boolean allows(int used) {
        return perGuest == 0 || used < perGuest;
    }
}
