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
 * @param series the dates on which the same time is booked again, in words, and what they cost together; empty: once
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
        List<String> series,
        @Nullable Instant held,
        boolean finds) {}
