package gastfreund.app.baskets;

import gastfreund.app.openings.Panel;
import gastfreund.app.openings.Slot;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.core.offers.Offer;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the basket's page shows.
 *
 * @param sum from the lines down to what is due
 * @param address of this page, to go on with another device
 * @param toCheckout whether it can be ordered as it is
 * @param expired whether something in it is no longer kept
 * @param longer where more time is asked for; empty: it was, or nothing is kept
 */
public record BasketPage(
        List<Note> notes,
        List<Row> rows,
        List<Good> goods,
        List<Rung> sum,
        Code code,
        List<Entered> entered,
        String address,
        boolean toCheckout,
        boolean expired,
        String longer) {

    public boolean isEmpty() {
        return rows.isEmpty() && goods.isEmpty();
    }

    /**
     * A booking in it.
     *
     * @param address where what is decided about it is sent
     * @param facts who comes, with whom, where and with what
     * @param kept null where its time ran out
     * @param elsewhere its time, where its guest can be anywhere; null: they are there
     * @param nearest where its time ran out, what could be had instead
     * @param keepAddress where one of these is kept
     */
    public record Row(
            String id,
            String address,
            String title,
            String when,
            List<String> facts,
            @Nullable Kept kept,
            @Nullable Interval elsewhere,
            List<Slot> nearest,
            String keepAddress) {}

    /**
     * What a booking that is kept shows beside.
     *
     * @param payNow whether it is paid now; null where that is not to be chosen
     * @param chips what can be changed in place
     * @param start its start, which a change keeps
     * @param open whether what can be changed is open
     * @param another where another time is chosen
     * @param byPass whether a pass pays for some of it
     */
    public record Kept(
            Instant until,
            String sum,
            boolean byPass,
            @Nullable Boolean payNow,
            Panel.Chips chips,
            Offer offer,
            long start,
            boolean open,
            String another) {}

    /**
     * A voucher, a pass or a ware that it buys.
     *
     * @param comes how it comes to its guest
     */
    public record Good(String title, String recipient, String comes, String sum, String release) {}

    /**
     * The code that was entered.
     *
     * @param said what came of it; empty: nothing was entered
     */
    public record Code(String value, String said, boolean wrong) {}

    /**
     * A voucher or a pass that pays.
     *
     * @param worth what is on it
     * @param leave where it is sent that it shall not pay
     */
    public record Entered(String title, String masked, String worth, boolean used, String leave) {}
}
