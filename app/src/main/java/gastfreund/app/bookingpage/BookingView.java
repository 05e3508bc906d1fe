package gastfreund.app.bookingpage;

import gastfreund.app.documents.Document;
import gastfreund.app.openings.Slot;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.payments.Gateway;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Payment;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of an order shows.
 *
 * @param own whether its guest looks at it, and not the desk
 * @param lines what stands
 * @param lost what does not
 * @param asks whether all of it waits for the house's yes
 * @param keptUntil until when places are kept; null where none is
 * @param transfer that is waited for; null where none is
 * @param account to which it goes; null where none does
 * @param paying what is to be paid now, and what came of it so far
 * @param nearest to what was lost, where the time ran out
 */
public record BookingView(
        Order order,
        boolean own,
        List<Line> lines,
        List<OrderRows.Row> lost,
        List<OrderRows.Bought> goods,
        boolean asks,
        boolean proving,
        boolean calledOff,
        boolean cameTooLate,
        @Nullable Instant keptUntil,
        @Nullable Payment transfer,
        @Nullable GatewayAccount account,
        Paying paying,
        List<Document> documents,
        List<Slot> nearest,
        String keepAddress) {

    /**
     * What stands, with what its guest may do about it.
     *
     * @param payable whether what is left of it can be paid now
     */
    public record Line(OrderRows.Row row, boolean payable, boolean movable, boolean cancellable) {}

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
}
