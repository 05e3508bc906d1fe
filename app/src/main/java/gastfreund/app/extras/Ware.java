package gastfreund.app.extras;

import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.housefile.Node;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Goods that the house sells without a time, kept in the house's {@code extra.goods}.
 *
 * @param stock how many there ever were; empty: as many as are wanted
 * @param most how many one guest can buy at once
 * @param withBooking whether they are handed over when their guest comes for a booking, and not at the house at any time
 */
public record Ware(
        String id,
        String title,
        Story story,
        Money price,
        Percent taxRate,
        OptionalInt stock,
        int most,
        boolean withBooking) {

    private static final int MOST_STOCK = 1_000_000;
    private static final int MOST_AT_ONCE = 100;
    private static final int USUAL_MOST = 10;

    /** @param ids those of vouchers and passes; addresses and documents tell them apart by these */
    static List<Ware> of(Node extra, Set<String> ids) {
        return extra.elements("goods").stream().map(g -> ware(g, ids)).toList();
    }

    private static Ware ware(Node node, Set<String> ids) {
        node.object(
                "id",
                "title",
                "summary",
                "included",
                "picture",
                "pictureText",
                "price",
                "stock",
                "most",
                "taxPercent",
                "handover");
        return new Ware(
                Extras.id(node, ids, "voucher, pass or good thing"),
                node.required("title").text(),
                Story.of(node),
                node.required("price").amount(1),
                node.member("taxPercent").map(t -> t.percent(0, 100)).orElse(Percent.ZERO),
                node.integer("stock", 0, MOST_STOCK),
                node.integer("most", 1, MOST_AT_ONCE, USUAL_MOST),
                node.word("handover", new String[] {"house", "booking"}, "house")
                        .equals("booking"));
    }

    /** How many can be bought at once where so many were taken already; 0: it is sold out. */
    public int atOnce(int taken) {
        return stock.isEmpty() ? most : Math.max(0, Math.min(most, stock.getAsInt() - taken));
    }
}
