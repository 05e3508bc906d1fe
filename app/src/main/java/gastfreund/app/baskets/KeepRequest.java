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
 */
public record KeepRequest(Choice choice, long start, @Nullable Long price, String visitor, String seal, String proof) {

    /** The same for another start. */
    KeepRequest at(long other) {
        return new KeepRequest(choice, other, price, visitor, seal, proof);
    }
}
