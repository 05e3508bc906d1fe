package gastfreund.app.bookingpage;

import gastfreund.app.companions.Companion;
import gastfreund.app.documents.Document;
import gastfreund.app.openings.Slot;
import gastfreund.app.orders.AnswerStore;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.payments.Gateway;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Payment;
import gastfreund.app.talks.Talk;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of an order shows.
 *
 * @param own whether its guest looks at it, and not the desk
 * @param heading how things stand, in a few words
 * @param intro what happens next; empty: nothing is said
 * @param over why nothing of it stands any more; empty: something may still
 * @param lines what stands
 * @param lost what does not
 * @param asks whether all of it waits for the house's yes
 * @param keptUntil until when places are kept; null where none is
 * @param transfer that is waited for; null where none is
 * @param account to which it goes; null where none does
 * @param paying what is to be paid now, and what came of it so far
 * @param agreements the texts to which its guest agreed, as they were then
 * @param talk what its guest and the house wrote to one another, the first one first
 * @param write where the guest writes
 * @param transferCode the transfer that is waited for as a picture that banking programs read; empty: there is none
 * @param offersAccount whether its guest can have an account in which all their bookings are
 * @param nearest to what was lost, where the time ran out
 */
public record BookingView(
        Order order,
        boolean own,
        List<Note> notes,
        String heading,
        String intro,
        String over,
        List<Line> lines,
        List<OrderRows.Row> lost,
        List<OrderRows.Bought> goods,
        boolean asks,
        boolean proving,
        @Nullable Instant keptUntil,
        @Nullable Payment transfer,
        @Nullable GatewayAccount account,
        Paying paying,
        List<Document> documents,
        List<Slot> nearest,
        String keepAddress,
        List<AnswerStore.Agreement> agreements,
        List<Talk> talk,
        Field write,
        boolean offersAccount,
        String transferCode) {

    /** Whether several bookings can be cancelled, and so all of them at once. */
    public boolean isCancellableAtOnce() {
        return own && lines.stream().filter(Line::cancellable).count() > 1;
    }

    /**
     * What stands, with what its guest may do about it.
     *
     * @param payable whether what is left of it can be paid now
     * @param along who comes along
     * @param invite the fields in which somebody is invited; empty: nobody more can be
     */
    public record Line(
            OrderRows.Row row,
            boolean payable,
            boolean movable,
            boolean cancellable,
            List<Companion> along,
            List<Field> invite) {

        /** Whether an invitation was typed that cannot go out so. */
        public boolean isTyped() {
            return invite.stream().anyMatch(Field::isWrong);
        }

        /** Where it takes place online, where it can be asked for already; empty: nowhere. */
        public String join() {
            return row.directions().startsWith("http") ? row.directions() : "";
        }

        /** Whether it waits for the house's yes. */
        public boolean asks() {
            return row.line().status() == BookingStatus.REQUESTED;
        }
    }

    /**
     * @param unpaid what is to be paid now
     * @param ways by which it can be
     * @param refused whether the last try was refused
     * @param odd whether the gateway said something that does not fit
     * @param unreachable whether the gateway has just not answered
     * @param asking whether the gateway is still asked
     */
    public record Paying(
            Money paid,
            Money authorised,
            Money unpaid,
            Money later,
            List<Gateway> ways,
            boolean refused,
            boolean odd,
            boolean unreachable,
            boolean asking) {}

    public boolean isPlaced() {
        return order.status() == OrderStatus.PLACED;
    }

    /** Whether something is to be paid for it now, or came of a try. */
    public boolean isToBePaid() {
        return paying.unpaid().isPositive() && order.status() != OrderStatus.LAPSED;
    }

    /** Whether its guest may give everything back before it is booked. */
    public boolean canBeCalledOff() {
        return own && order.status() == OrderStatus.WAITING;
    }

    /** The ways to pay but for the transfer that is waited for. */
    public List<Gateway> others() {
        return paying.ways().stream()
                .filter(way -> transfer == null || !way.name().equals(transfer.gateway()))
                .toList();
    }

    public boolean canChangeDetails() {
        return own && isPlaced();
    }

    public boolean hasCalendar() {
        return canChangeDetails() && !lines.isEmpty() && !asks;
    }

    /** Whether nobody shall really send the money. */
    public boolean isPractice() {
        return account != null && account.mode() == GatewayAccount.Mode.PRACTICE;
    }
}
