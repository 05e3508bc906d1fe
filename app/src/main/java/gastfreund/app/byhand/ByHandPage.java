package gastfreund.app.byhand;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a booking by hand shows.
 *
 * @param what what is booked, and when
 * @param addOns what can be had beside it
 * @param hidden what goes with the form unseen
 * @param who for whom
 * @param money how much it is, and how it is paid
 * @param title what is chosen, in words; empty: nothing can be
 * @param price of it
 * @param against what stands against it; empty: nothing
 * @param series the dates on which the same time is booked again; empty: once
 * @param seriesSum what they cost together, in words
 * @param held until when the place is held; null: it is not
 * @param finds whether guests can be looked for
 */
public record ByHandPage(
        List<Note> notes,
        List<Field> what,
        List<Field> addOns,
        List<Field> hidden,
        List<Field> who,
        List<Field> money,
        String title,
        String price,
        String against,
        List<SeriesDate> series,
        String seriesSum,
        @Nullable Instant held,
        boolean finds) {

    /**
     * A date of a series.
     *
     * @param picked the start that was picked there instead of the wanted one; empty: none was
     * @param nearest starts that can be picked
     */
    public record SeriesDate(String words, String picked, List<Field.Option> nearest) {}
}
