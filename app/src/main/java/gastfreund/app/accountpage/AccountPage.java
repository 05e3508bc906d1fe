package gastfreund.app.accountpage;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.core.time.Interval;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of an account shows.
 *
 * @param name of its guest; empty: nobody knows it
 * @param coming the next one first
 * @param past the last one first
 * @param more whether there are more that are past
 * @param papers receipts and credit notes, the last one first
 * @param prepaid vouchers and passes with what is left, the last one first
 * @param known what is filled in at the next order, in lines; empty: nothing
 * @param open whether something is still to come, so that what was said in bookings cannot be forgotten
 * @param forget whether that is to be forgotten with the account; null: nothing was booked
 */
public record AccountPage(
        List<Note> notes,
        String email,
        String name,
        List<Row> coming,
        List<Row> past,
        boolean more,
        List<Paper> papers,
        List<Left> prepaid,
        List<String> known,
        boolean open,
        @Nullable Field forget) {

    /**
     * A booking.
     *
     * @param elsewhere its time, where its guest can be anywhere; null: they are there
     * @param sign the class of its state
     * @param own the address of its page
     * @param again where the same is booked once more
     */
    public record Row(
            String title,
            String when,
            @Nullable Interval elsewhere,
            String party,
            String sign,
            String state,
            String own,
            String again) {}

    /** A receipt or a credit note. */
    public record Paper(String title, String when, String own) {}

    /** A voucher or a pass. */
    public record Left(String title, String left, String until, String own, boolean usable) {}
}
