package gastfreund.app.orderdesk;

import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the page of payments shows: all the money that somebody has to see to.
 *
 * @param odd what a gateway says that was not asked for
 * @param stuck what does not get through
 * @param toSend refunds that are sent by hand
 * @param awaited transfers that have not come
 * @param settles whether the host may say that it is done
 * @param setsWays whether the host may say how guests pay
 */
public record PaymentsPage(
        List<Note> notes,
        List<Odd> odd,
        List<Hanging> stuck,
        List<ToSend> toSend,
        List<Awaited> awaited,
        boolean settles,
        boolean setsWays) {

    /** The order that it is about. */
    public record About(String number, String guest) {

        static final About NOTHING = new About("", "");

        public boolean isAnything() {
            return !number.isEmpty();
        }

        public String address() {
            return "/desk/orders/" + number;
        }
    }

    public record Odd(About about, String asked, String said, String seen) {}

    public record Hanging(About about, String what, String tries, String error) {}

    /** @param why empty: nothing was said */
    public record ToSend(About about, String amount, String to, String cameAs, String why, String sent) {}

    public record Awaited(
            About about, String reference, String amount, String until, boolean overdue, String received) {}
}
