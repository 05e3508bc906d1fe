package gastfreund.app.visits;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What came of looking for an address.
 *
 * @param found what may be meant, where it is not clear which
 * @param one what is meant; null where that is not known
 */
public record Looked(What what, List<Found> found, @Nullable Found one) {

    /** How it went. */
    public enum What {
        /** The geocoder does not answer, or nobody needs to know. */
        UNASKED,
        UNKNOWN,
        SEVERAL,
        ONE
    }

    static final Looked UNASKED = new Looked(What.UNASKED, List.of(), null);

    /** @param meant the label of the one that is meant; null: nobody said */
    static Looked of(List<Found> found, @Nullable String meant) {
        if (found.isEmpty()) {
            return new Looked(What.UNKNOWN, List.of(), null);
        }
        Optional<Found> one = found.size() == 1
                ? Optional.of(found.get(0))
                : found.stream().filter(f -> f.label().equals(meant)).findFirst();
        return one.map(f -> new Looked(What.ONE, List.of(), f)).orElseGet(() -> new Looked(What.SEVERAL, found, null));
    }

    public boolean is(What wanted) {
        return what == wanted;
    }
}
