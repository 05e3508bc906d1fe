package gastfreund.app.catalogue;

import gastfreund.core.offers.House;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The house as it would be with some documents in the place of its own.
 *
 * @param house null where something is wrong
 * @param faults what is wrong; empty: nothing
 */
public record Tried(@Nullable House house, List<Fault> faults) {

    public boolean isRight() {
        return faults.isEmpty();
    }

    /** @throws NullPointerException where something is wrong */
    public House right() {
        return Objects.requireNonNull(house, "there are faults");
    }
}
