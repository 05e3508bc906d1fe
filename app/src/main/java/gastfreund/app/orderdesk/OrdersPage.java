package gastfreund.app.orderdesk;

import java.util.List;

/**
 * What the list of orders shows.
 *
 * @param asking those that ask for an answer
 * @param owing those that were asked to pay what is left, and have not yet
 */
public record OrdersPage(List<Waiting> asking, List<Waiting> owing, List<Row> rows) {

    /** An order that waits for somebody, and what for. */
    public record Waiting(String address, String guest, String what) {}

    /** @param goods titles of vouchers and passes in it */
    public record Row(
            String address,
            String number,
            String guest,
            List<Line> lines,
            List<String> goods,
            String placed,
            String total) {}

    /** @param sign the class of its sign */
    public record Line(String sign, String what, String state) {}
}
