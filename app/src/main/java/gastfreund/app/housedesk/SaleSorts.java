package gastfreund.app.housedesk;

import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.languages.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** How members of what is sold without a time are written and read. */
final class SaleSorts {

    private static final Pattern BETWEEN = Pattern.compile("[;/ ]++|,(?!\\d\\d(?!\\d))\\s*+");

    /** Where it is handed over. */
    static final Sort HANDOVER = Sorts.word("house", "booking");

    /** Amounts: {@code 25.00, 50.00}; a comma before two figures is one of an amount. */
    static final Sort AMOUNTS = new Sort() {
        @Override
        public Optional<JsonNode> read(String typed, Formats f) {
            ArrayNode amounts = JSON.arrayNode();
            for (String one :
                    BETWEEN.splitAsStream(typed).filter(t -> !t.isEmpty()).toList()) {
                Optional<JsonNode> amount = AMOUNT.read(one, f);
                if (amount.isEmpty()) {
                    return Optional.empty();
                }
                amounts.add(amount.get());
            }
            return Optional.of(amounts);
        }

        @Override
        public String said(JsonNode member, Formats f) {
            List<String> amounts = new ArrayList<>();
            member.forEach(a -> amounts.add(AMOUNT.said(a, f)));
            return String.join(", ", amounts);
        }
    };

    private SaleSorts() {}
}
