package gastfreund.app.orderdesk;

import gastfreund.app.documents.Document;
import gastfreund.app.journal.Actor;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.Payment;
import gastfreund.app.talks.HouseNote;
import gastfreund.core.money.Money;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of an order shows at the desk.
 *
 * @param paid what the house has of it
 * @param decisions about the order as a whole
 * @param said between the house and the guest
 * @param write what leads to writing to the guest; null: they cannot be written to
 * @param seesCodes whether the codes of vouchers are shown whole
 */
public record OrderPage(
        List<Note> notes,
        Order order,
        Money paid,
        List<Line> lines,
        List<Good> goods,
        List<Decision> decisions,
        List<Step> journal,
        List<SaidRow> said,
        @Nullable Decision write,
        List<PaymentRow> payments,
        List<Document> documents,
        boolean seesCodes) {

    /** Whether the guest said something that nobody has seen. */
    public boolean isFresh() {
        return said.stream().anyMatch(SaidRow::fresh);
    }

    /**
     * A booking with what may be decided about it.
     *
     * @param came whether its guests came, in words; empty: that was not noted
     * @param note what the house noted for itself; null: nothing
     */
    public record Line(OrderRows.Row row, String came, @Nullable HouseNote note, List<Decision> decisions) {}

    /** A voucher or a pass with what may be decided about it. */
    public record Good(OrderRows.Bought bought, List<Decision> decisions) {}

    /** A step that was taken, by whom and why, in words. */
    public record Step(JournalEntry entry, String who, String why) {

        static Step of(JournalEntry entry, Formats f) {
            Actor actor = entry.who();
            String who = actor.name().isEmpty() ? f.text("journal.by." + actor.code()) : actor.name();
            return new Step(entry, who, Cause.said(entry.why(), f));
        }
    }

    /**
     * @param reason why it is as it is, in words
     * @param canArrive whether a host may say that it has come
     */
    public record PaymentRow(Payment payment, String reason, boolean canArrive) {}
}
