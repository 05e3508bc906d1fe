package gastfreund.app.checkout;

import gastfreund.app.openings.CancelLadder;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the checkout's page shows.
 *
 * @param terms until when each booking can be cancelled for nothing
 * @param way how it is paid; null where that is not to be chosen
 * @param noWay whether something is to be paid and cannot be
 * @param seal what a form carries that a person fills in, with the work it takes
 * @param mark what the bill shows, so that another is noticed
 * @param go what the button says
 * @param help what follows; empty: nothing is said
 * @param goods vouchers and passes, with what each costs
 * @param longer whether more time can be asked for
 * @param access to an account; null: the house has none
 * @param where the page on which the guest's address is said
 */
public record CheckoutPage(
        List<Note> notes,
        GuestFields fields,
        List<Term> terms,
        @Nullable Field way,
        boolean noWay,
        String seal,
        int bits,
        String mark,
        String go,
        List<String> help,
        List<Row> rows,
        List<Rung> goods,
        List<Rung> sum,
        boolean longer,
        @Nullable Access access,
        String where) {

    /**
     * Whether its guest is in an account.
     *
     * @param email of the account; empty: they are in none
     * @param enter where they get in
     */
    public record Access(String email, String enter) {}

    /**
     * What cancelling costs.
     *
     * @param title of what is cancelled; empty where there is nothing else
     * @param words until when it costs nothing; empty where the ladder says it
     */
    public record Term(String title, String words, CancelLadder ladder) {}

    /**
     * A booking beside the form.
     *
     * @param where the guest's address and how far it is, in lines; empty: it takes place elsewhere
     */
    public record Row(
            String title,
            String when,
            @Nullable Interval elsewhere,
            String party,
            String where,
            Instant kept,
            String sum,
            boolean byPass) {}
}
