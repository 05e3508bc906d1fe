package gastfreund.app.offerdesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import gastfreund.app.extras.Shelf;
import gastfreund.app.extras.Story;
import gastfreund.app.languages.Formats;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.util.MultiValueMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Every member of an offer that its editor changes, and what goes with a change of one. */
final class OfferInputs {

    /** How an offer's starts are told: on the clock, from the beginning of what is open, or at fixed times. */
    static final String STARTS = "starts/how";

    static final String PICK = "staff/pick";

    private static final JsonNode NOTHING = Sort.number(0);
    private static final JsonNode ONE = Sort.number(1);
    private static final int USUAL_EVERY = 30;
    private static final int USUAL_DEPOSIT = 30;

    static final Inputs TABLE = new Inputs()
            .with("title", Sort.LINE)
            .with("extra/summary", Sort.TEXT)
            .with("extra/included", Sort.LINES)
            .with("extra/pictureText", Sort.LINE)
            .with("extra/text", Sort.TEXT)
            .with("extra/pictureAt", Sorts.word(Story.POINTS.toArray(String[]::new)), word("middle"))
            .with("extra/pictures/*/text", Sort.LINE)
            .with("extra/pictures/*/at", Sorts.word(Story.POINTS.toArray(String[]::new)), word("middle"))
            .with("extra/category", Sort.LINE)
            .with("extra/tags", Sorts.WORDS)
            .with("extra/sign", new Sort.Text(8))
            .with("extra/tone", Sorts.word(Shelf.TONES.toArray(String[]::new)))
            .with("extra/venueWords", Sort.LINE)
            .with("extra/button", Sort.LINE)
            .with("extra/listing", Sorts.word("listed", "link", "off"), word("listed"))
            .with("lengths/*/minutes", Sort.SPAN)
            .with("lengths/*/price", Sort.AMOUNT)
            .with("lengths/*/units/min", Sort.WHOLE, ONE)
            .with("lengths/*/units/max", Sort.WHOLE, ONE)
            .with("basis", Sorts.word("booking", "person"), word("booking"))
            .with("sharing", Sorts.word("private", "shared"), word("private"))
            .with("seats", Sort.WHOLE)
            .with("fill", Sorts.word("first", "spread"), word("first"))
            .with("party/min", Sort.WHOLE, ONE)
            .with("party/max", Sort.WHOLE)
            .withList("staff/of")
            .with("staff/assign", Sorts.word("least", "order"), word("least"))
            .with("uses/*/units", Sort.WHOLE)
            .with("uses/*/per", Sorts.word("session", "booking", "person"), word("session"))
            .withList("places")
            .with("starts/every", Sort.SPAN, Sort.number(USUAL_EVERY))
            .with("starts/offset", Sort.SPAN, NOTHING)
            .with("starts/at", Sorts.TIMES)
            .with("prep", Sort.SPAN, NOTHING)
            .with("reset", Sort.SPAN, NOTHING)
            .with("notice", Sort.SPAN, NOTHING)
            .with("horizonDays", Sort.WHOLE)
            .with("season/from", Sort.DATE)
            .with("season/to", Sort.DATE)
            .with("limits/perDay", Sort.WHOLE)
            .with("limits/minutesPerDay", Sort.SPAN)
            .with("confirm", Sorts.word("instant", "onPayment", "byHand"), word("instant"))
            .withTruth("contested")
            .withTruth("extra/agreement")
            .with("payment/when", Sorts.word("full", "deposit", "venue", "choice"), word("full"))
            .with("payment/deposit", Sorts.SHARE)
            .with("payment/balance/daysBefore", Sort.WHOLE)
            .with("terms/cancel/*/hoursBefore", Sort.HOURS)
            .with("terms/cancel/*/keep", Sorts.KEEP)
            .with("terms/move/hoursBefore", Sort.HOURS)
            .with("taxPercent", Sort.PERCENT, word("0"))
            .with("addOns/*/title", Sort.LINE)
            .with("addOns/*/price", Sort.AMOUNT)
            .with("addOns/*/per", Sorts.word("unit", "booking", "person"), word("unit"))
            .with("addOns/*/max", Sort.WHOLE, ONE)
            .with("addOns/*/minutes", Sort.SPAN, NOTHING)
            .with("extra/stock/*", Sort.WHOLE)
            .with("timetable/*/length", Sort.LINE)
            .with("timetable/*/place", Sort.LINE)
            .with("timetable/*/seats", Sort.WHOLE)
            .with("timetable/*/rrule", Sort.LINE)
            .withList("timetable/*/staff")
            .withList("timetable/*/exdates")
            .with("extra/questions/*/label", Sort.LINE)
            .with("extra/questions/*/help", Sort.LINE)
            .with("extra/questions/*/kind", Sorts.word("text", "long", "choice", "choices", "tick"))
            .with("extra/questions/*/options", Sort.LINES)
            .withTruth("extra/questions/*/required")
            .with("extra/questions/*/each", Sorts.word("booking", "person"), word("booking"));

    private OfferInputs() {}

    private static JsonNode word(String word) {
        return Sort.JSON.stringNode(word);
    }

    /**
     * Takes a form into an offer.
     *
     * @param unread receives by field what cannot be read; blank: it can
     */
    static void take(ObjectNode offer, MultiValueMap<String, String> form, Map<String, String> unread, Formats f) {
        pick(offer, form.getOrDefault(PICK, List.of()));
        starts(offer, form.getOrDefault(STARTS, List.of()));
        TABLE.take(offer, form, unread, f);
        Dates.take(offer, form, unread, f);
        agreement(offer);
        units(offer);
        uses(offer, form);
        stock(offer);
        if (!offer.path("confirm").stringValue("").equals("byHand")) {
            offer.remove("contested");
        }
        payment(offer);
        if (offer.path("sharing").stringValue("").equals("shared") && !offer.has("seats")) {
            offer.put("seats", Math.max(1, offer.path("party").path("max").intValue(1)));
        }
    }

    /** Nobody in particular, any of some, or all of them together. */
    private static void pick(ObjectNode offer, List<String> chosen) {
        String pick = String.join("", chosen);
        if (pick.equals("nobody")) {
            offer.remove("staff");
        } else if ((pick.equals("any") || pick.equals("all"))
                && !offer.path("staff").path("pick").stringValue("nobody").equals(pick)) {
            Inputs.set(offer, PICK, word(pick));
            if (!offer.path("staff").has("of")) {
                Inputs.set(offer, "staff/of", Sort.JSON.arrayNode());
            }
            if (pick.equals("all")) {
                Inputs.set(offer, "staff/assign", null);
            }
        }
    }

    /** How the starts of an offer are told. */
    static String startsHow(JsonNode offer) {
        JsonNode starts = offer.path("starts");
        return starts.has("at") ? "at" : starts.path("anchor").stringValue("clock");
    }

    private static void starts(ObjectNode offer, List<String> chosen) {
        String how = String.join("", chosen);
        if (how.equals(startsHow(offer))) {
            return;
        }
        switch (how) {
            case "at" -> offer.putObject("starts").putArray("at").add("09:00");
            case "window" -> offer.putObject("starts").put("every", USUAL_EVERY).put("anchor", "window");
            case "clock" -> offer.putObject("starts").put("every", USUAL_EVERY).put("anchor", "clock");
            default -> {
                // An old page or somebody's own form: the starts stay.
            }
        }
    }

    /** Where the price is agreed, guests ask, and nothing is charged before. */
    private static void agreement(ObjectNode offer) {
        if (offer.path("extra").path("agreement").booleanValue(false)) {
            offer.put("confirm", "byHand");
            offer.remove(List.of("payment", "priceRules"));
            for (JsonNode length : offer.path("lengths")) {
                ((ObjectNode) length).put("price", 0);
            }
        }
    }

    /** Whoever says the least says the most too; once is what is meant where nothing is said. */
    private static void units(ObjectNode offer) {
        for (JsonNode length : offer.path("lengths")) {
            if (length.path("units") instanceof ObjectNode units) {
                int least = units.path("min").intValue(1);
                int most = units.path("max").intValue(least);
                if (least == 1 && most == 1) {
                    ((ObjectNode) length).remove("units");
                } else if (!units.has("max")) {
                    units.put("max", most);
                }
            }
        }
    }

    /** What was said of an add-on that was taken away goes with it. */
    private static void stock(ObjectNode offer) {
        if (offer.path("extra").path("stock") instanceof ObjectNode stock) {
            Set<String> ids = new HashSet<>();
            offer.path("addOns").forEach(a -> ids.add(a.path("id").stringValue("")));
            stock.propertyNames().stream()
                    .filter(id -> !ids.contains(id))
                    .toList()
                    .forEach(stock::remove);
            if (stock.isEmpty()) {
                Inputs.set(offer, "extra/stock", null);
            }
        }
    }

    /** What is used no more is taken out of the list. */
    private static void uses(ObjectNode offer, MultiValueMap<String, String> form) {
        if (!(offer.path("uses") instanceof ArrayNode uses)) {
            return;
        }
        for (int i = uses.size() - 1; i >= 0; i--) {
            String thing = uses.get(i).path("resource").stringValue("");
            String units = form.getFirst("uses/" + thing + "/units");
            if (units != null && (units.isBlank() || units.strip().equals("0"))) {
                uses.remove(i);
            }
        }
        if (uses.isEmpty()) {
            offer.remove("uses");
        }
    }

    private static void payment(ObjectNode offer) {
        if (!(offer.path("payment") instanceof ObjectNode payment)) {
            return;
        }
        if (payment.path("when").stringValue("full").equals("deposit")) {
            if (!payment.has("deposit")) {
                payment.putObject("deposit").put("percent", USUAL_DEPOSIT);
            }
        } else {
            payment.remove("deposit");
            payment.remove("balance");
        }
    }
}
