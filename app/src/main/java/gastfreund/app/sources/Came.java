package gastfreund.app.sources;

import java.util.Comparator;

/**
 * What came of a source.
 *
 * @param looked how many visitors, each once a day
 * @param kept how many of them began a basket
 * @param booked how many bookings stand
 * @param came how many took place
 */
public record Came(String source, int looked, int kept, int booked, int came) {

    static final Comparator<Came> MOST_FIRST = Comparator.comparingInt(Came::booked)
            .thenComparingInt(Came::kept)
            .thenComparingInt(Came::looked)
            .reversed()
            .thenComparing(Came::source);
}
