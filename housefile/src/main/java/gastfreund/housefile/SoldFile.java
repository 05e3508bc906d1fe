package gastfreund.housefile;

import gastfreund.core.money.Percent;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.StaffId;
import gastfreund.core.orders.Sold;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a booking was sold as, to and from JSON: the members of an offer that matter to a contract, each in the form of the
 * house file, with the one length that was chosen, and the names of place and people.
 */
public final class SoldFile {

    private SoldFile() {}

    public static JsonNode written(Sold sold) {
        ObjectNode node = HouseWriter.object().put("title", sold.title());
        HouseWriter.putAll(node, "lengths", List.of(sold.length()), OfferWriter::length);
        HouseWriter.putAll(node, "addOns", sold.addOns(), OfferWriter::addOn);
        OfferWriter.putConfirm(sold.confirm(), node);
        TermsWriter.put(sold.payment(), sold.terms(), sold.taxRate(), node);
        if (!sold.place().isEmpty()) {
            node.put("place", sold.place());
        }
        if (!sold.staff().isEmpty()) {
            ObjectNode staff = node.putObject("staff");
            sold.staff().forEach((person, name) -> staff.put(person.value(), name));
        }
        return node;
    }

    /** @throws BadFileException with every problem */
    public static Sold read(JsonNode json) {
        List<Problem> problems = new ArrayList<>();
        Node node = Node.root(json, problems)
                .object("title", "lengths", "addOns", "confirm", "payment", "terms", "taxPercent", "place", "staff");
        List<Length> lengths = OfferReader.lengths(node.required("lengths"));
        if (lengths.size() != 1) {
            node.at("lengths").problem("must have exactly one");
        }
        BadFileException.throwIfAny(problems);
        Map<StaffId, String> staff = new LinkedHashMap<>();
        json.path("staff")
                .properties()
                .forEach(p -> staff.put(new StaffId(p.getKey()), p.getValue().asString()));
        Sold sold = new Sold(
                node.required("title").text(),
                lengths.get(0),
                OfferReader.addOns(node),
                OfferReader.confirm(node),
                PaymentReader.payment(node),
                PaymentReader.terms(node),
                node.member("taxPercent").map(t -> t.percent(0, 100)).orElse(Percent.ZERO),
                json.path("place").asString(""),
                staff);
        BadFileException.throwIfAny(problems);
        return sold;
    }
}
