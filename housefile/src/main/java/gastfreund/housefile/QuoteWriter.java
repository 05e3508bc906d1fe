package gastfreund.housefile;

import gastfreund.core.money.Money;
import gastfreund.core.orders.Quote;
import gastfreund.core.terms.Terms;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes the answers of {@code quote} and {@code cancellation}. */
final class QuoteWriter {

    private QuoteWriter() {}

    static JsonNode written(Quote quote) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        ArrayNode lines = written.putArray("lines");
        for (Quote.QuotedLine line : quote.lines()) {
            ObjectNode l = lines.addObject();
            put(l, "base", line.price().base());
            put(l, "adjusted", line.price().adjusted());
            put(l, "addOns", line.price().addOns());
            put(l, "amount", line.price().amount());
            put(l, "discount", line.discount());
            put(l, "total", line.total());
            put(l, "dueNow", line.dueNow());
            put(l, "balance", line.balance());
            l.put(
                    "balanceDue",
                    line.balanceDue() == null ? null : line.balanceDue().toString());
        }
        put(written, "subtotal", quote.subtotal());
        put(written, "discount", quote.discount());
        written.put("promo", quote.promo().code());
        put(written, "total", quote.total());
        ArrayNode taxes = written.putArray("taxes");
        quote.taxes().forEach(tax -> {
            ObjectNode t = taxes.addObject().put("rate", tax.rate().toString());
            put(t, "net", tax.net());
            put(t, "tax", tax.tax());
        });
        put(written, "dueNow", quote.dueNow());
        put(written, "balance", quote.balance());
        return written;
    }

    static JsonNode written(Terms.Outcome outcome) {
        ObjectNode written = JsonNodeFactory.instance.objectNode();
        if (outcome.tier().isPresent()) {
            written.put("tier", outcome.tier().getAsInt());
        } else {
            written.putNull("tier");
        }
        put(written, "keep", outcome.keep());
        put(written, "refund", outcome.refund());
        put(written, "uncollected", outcome.uncollected());
        return written.put("mayMove", outcome.mayMove());
    }

    private static void put(ObjectNode owner, String member, Money money) {
        owner.put(member, money.minor());
    }
}
