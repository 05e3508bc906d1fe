package gastfreund.app.offerdesk;

import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Lists of an offer whose elements are added, taken away and put into another order. */
final class Rows {

    private static final int MOST = 60;
    private static final int USUAL_MINUTES = 60;

    private Rows() {}

    /** Adds an element to one of the lists that can have another; nothing where there are enough, or it is no such list. */
    static void add(ObjectNode offer, String list, Formats f) {
        ObjectNode fresh = Sort.JSON.objectNode();
        switch (list) {
            case "lengths" -> fresh.put("id", id(offer, list, "length"))
                    .put("minutes", longest(offer) + USUAL_MINUTES)
                    .put("price", offer.path("lengths").path(0).path("price").longValue(0));
            case "addOns" -> fresh.put("id", id(offer, list, "add-on"))
                    .put("title", f.text("offers.newAddOn"))
                    .put("price", 0);
            case "terms/cancel" -> {
                int last = latestTier(offer);
                fresh.put("hoursBefore", last < 0 ? 48 : last / 2)
                        .putObject("keep")
                        .put("percent", last < 0 ? 0 : 50);
            }
            case Dates.LIST -> {
                Dates.add(offer);
                return;
            }
            case "extra/questions" -> fresh.put("id", id(offer, list, "question"))
                    .put("label", f.text("offers.newQuestion"))
                    .put("kind", "text");
            default -> {
                return;
            }
        }
        ArrayNode all = Inputs.at(offer, list) instanceof ArrayNode given ? given : Sort.JSON.arrayNode();
        if (all.size() < MOST) {
            all.add(fresh);
            Inputs.set(offer, list, all);
        }
    }

    private static int longest(JsonNode offer) {
        int longest = 0;
        for (JsonNode length : offer.path("lengths")) {
            longest = Math.max(longest, length.path("minutes").intValue(0));
        }
        return longest;
    }

    private static int latestTier(JsonNode offer) {
        int latest = -1;
        for (JsonNode tier : offer.path("terms").path("cancel")) {
            int hours = tier.path("hoursBefore").intValue(0);
            latest = latest < 0 ? hours : Math.min(latest, hours);
        }
        return latest;
    }

    /** An id that none of the list has. */
    private static String id(JsonNode offer, String list, String like) {
        Set<String> taken = new TreeSet<>();
        Inputs.at(offer, list).forEach(e -> taken.add(e.path("id").stringValue("")));
        for (int i = taken.size() + 1; ; i++) {
            if (taken.add(like + "-" + i)) {
                return like + "-" + i;
            }
        }
    }

    /** @param member the list, a slash, and the element's id or place */
    static void remove(ObjectNode offer, String member) {
        int slash = member.lastIndexOf('/');
        int at = place(offer, member);
        if (at >= 0 && Inputs.at(offer, member.substring(0, slash)) instanceof ArrayNode list) {
            list.remove(at);
            if (list.isEmpty() && !member.startsWith("lengths/") && !member.startsWith(Dates.LIST)) {
                Inputs.set(offer, member.substring(0, slash), null);
            }
        }
    }

    /** Moves an element before the one that stands before it. */
    static void up(ObjectNode offer, String member) {
        int at = place(offer, member);
        if (at > 0 && Inputs.at(offer, member.substring(0, member.lastIndexOf('/'))) instanceof ArrayNode list) {
            JsonNode moved = list.remove(at);
            list.insert(at - 1, moved);
        }
    }

    /** Where an element stands in its list; less than 0: there is none. */
    private static int place(ObjectNode offer, String member) {
        int slash = member.lastIndexOf('/');
        JsonNode wanted = slash < 0 ? Sort.JSON.missingNode() : Inputs.at(offer, member);
        if (wanted.isMissingNode() || !(Inputs.at(offer, member.substring(0, slash)) instanceof ArrayNode list)) {
            return -1;
        }
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i) == wanted) {
                return i;
            }
        }
        return -1;
    }
}
