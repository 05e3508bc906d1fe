package gastfreund.app.till;

import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Something that was taken or given by hand.
 *
 * @param number of its receipt
 * @param who did it: a host's mail address; empty: nobody noted that
 * @param amount positive where it came in
 * @param order the number of its order; null: of none
 * @param words to whom it was handed over, or why it was counted otherwise; empty: nothing
 */
public record TillEntry(
        long number, Instant at, String who, Kind kind, Hand way, Money amount, @Nullable Long order, String words) {

    /** What it is. */
    public enum Kind {
        /** A guest paid. */
        TAKEN,
        /** A guest got money back. */
        GIVEN,
        /** Change was put into the drawer. */
        CHANGE,
        /** The drawer was emptied, or a part of it. */
        HANDED,
        /** What was counted was more or less than should be there. */
        COUNTED;

        /** The name in tables and texts. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
