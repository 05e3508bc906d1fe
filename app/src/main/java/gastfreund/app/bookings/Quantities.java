package gastfreund.app.bookings;

import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Offer;
import gastfreund.housefile.HouseFile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Quantities of add-ons, as addresses ({@code clay:2}) and tables (a JSON object) write them. */
public final class Quantities {

    private static final Pattern NUMBER = Pattern.compile("\\d{1,6}+");

    private Quantities() {}

    /** What an address says, as far as the offer has it; quantities are brought into their bounds. */
    public static Map<AddOnId, Integer> asked(Offer offer, List<String> said) {
        Map<AddOnId, Integer> quantities = new LinkedHashMap<>();
        for (String one : said == null ? List.<String>of() : said) {
            int colon = one.lastIndexOf(':');
            String id = colon < 0 ? one : one.substring(0, colon);
            String number = colon < 0 ? "1" : one.substring(colon + 1);
            if (!id.isBlank() && NUMBER.matcher(number).matches()) {
                offer.addOn(new AddOnId(id))
                        .ifPresent(a -> quantities.put(a.id(), Math.min(a.max(), Integer.parseInt(number))));
            }
        }
        quantities.values().removeIf(n -> n == 0);
        return quantities;
    }

    /** As an address says it, one entry for each. */
    public static List<String> said(Map<AddOnId, Integer> quantities) {
        return quantities.entrySet().stream()
                .map(e -> e.getKey() + ":" + e.getValue())
                .sorted()
                .toList();
    }

    public static String written(Map<AddOnId, Integer> quantities) {
        ObjectNode json = JsonNodeFactory.instance.objectNode();
        quantities.forEach((id, n) -> json.put(id.value(), n));
        return json.toString();
    }

    public static Map<AddOnId, Integer> read(String json) {
        Map<AddOnId, Integer> quantities = new LinkedHashMap<>();
        HouseFile.parse(json)
                .properties()
                .forEach(p ->
                        quantities.put(new AddOnId(p.getKey()), p.getValue().intValue()));
        return quantities;
    }

    /** {@code Glaze a piece, 2 × 5 kg of clay}; empty where nothing is added. */
    public static String named(List<AddOn> addOns, Map<AddOnId, Integer> quantities) {
        return addOns.stream()
                .filter(a -> quantities.getOrDefault(a.id(), 0) > 0)
                .map(a -> named(a, quantities.getOrDefault(a.id(), 0)))
                .collect(Collectors.joining(", "));
    }

    private static String named(AddOn addOn, int quantity) {
        return quantity == 1 ? addOn.title() : quantity + " × " + addOn.title();
    }
}
