package gastfreund.app.baskets;

import gastfreund.app.openings.Choice;
import org.jspecify.annotations.Nullable;

/**
 * A wish to keep a place.
 *
 * @param start in minutes since the epoch
 * @param price what the guest was shown, in minor units; null: any
 * @param visitor the mark of whoever wishes it
 * @param seal of the page; empty where it had none
 * @param proof that a script has worked for it; empty where none has
 * @param vouched whether a program of the house wishes it, of which no work is asked
 */
public record KeepRequest(
        Choice choice, long start, @Nullable Long price, String visitor, String seal, String proof, boolean vouched) {

    /** A wish from a page. */
    public KeepRequest(Choice choice, long start, @Nullable Long price, String visitor, String seal, String proof) {
        this(choice, start, price, visitor, seal, proof, false);
    }

    /** @param visitor the mark of the guest for whom the program wishes it */
    public static KeepRequest ofProgram(Choice choice, long start, @Nullable Long price, String visitor) {
        return new KeepRequest(choice, start, price, visitor, "", "", true);
    }

    /** The same for another start. */
    KeepRequest at(long other) {
        return new KeepRequest(choice, other, price, visitor, seal, proof, vouched);
    }
}
