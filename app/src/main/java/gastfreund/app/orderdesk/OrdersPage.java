package gastfreund.app.orderdesk;

import java.util.List;

/**
 * What the list of orders shows.
 *
 * @param source from where those came whose orders are shown; empty: all are
 * @param whole whether the reader sees all orders
 * @param asking those that ask for an answer
 * @param owing those that were asked to pay what is left, and have not yet
 */
public record OrdersPage(String source, boolean whole, List<Waiting> asking, List<Waiting> owing, List<Row> rows) {

    /** An order that waits for somebody, and what for. */
    public record Waiting(String address, String guest, String what) {}

    /**
     * @param source from where its guest came; empty: nobody knows
     * @param goods titles of vouchers and passes in it
     */
    public record Row(
            String address,
            String number,
            String guest,
            String source,
            List<Line> lines,
            List<String> goods,
            String placed,
            String total) {}

    /** @param sign the class of its sign */
    public record Line(String sign, String what, String state) {}
}
