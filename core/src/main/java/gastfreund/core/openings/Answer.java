package gastfreund.core.openings;

import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a query: why it was refused, or each candidate with its options.
 *
 * @param refusal null unless the query does not fit the offer
 * @param entries by start, then end
 */
public record Answer(@Nullable Refusal refusal, List<Entry> entries) {

    public Answer {
        entries = List.copyOf(entries);
    }

    static Answer refused(Refusal refusal) {
        return new Answer(refusal, List.of());
    }

    /** One start and end, with its options in the order in which the offer lists them. */
    public record Entry(Interval time, List<Judged> options) {

        public Entry {
            options = List.copyOf(options);
        }

        /** Whether one of its options is an opening. */
        public boolean isOpen() {
            for (Judged option : options) {
                if (option.isOpen()) {
                    return true;
                }
            }
            return false;
        }

        /** The options that are openings. */
        public List<Judged> open() {
            for (Judged option : options) {
                if (!option.isOpen()) {
                    return options.stream().filter(Judged::isOpen).toList();
                }
            }
            return options;
        }
    }

    /**
     * One option and what stands about it.
     *
     * @param place null where the offer has none
     */
    public record Judged(List<StaffId> staff, @Nullable PlaceId place, Verdict verdict) {

        public boolean isOpen() {
            return verdict instanceof Verdict.Open;
        }

        /** @throws ClassCastException where it is no opening */
        public Verdict.Open opening() {
            return (Verdict.Open) verdict;
        }

        /** The reasons against it; none where it is an opening. */
        public List<Reason> reasons() {
            return verdict instanceof Verdict.Against against ? against.reasons() : List.of();
        }
    }
}
