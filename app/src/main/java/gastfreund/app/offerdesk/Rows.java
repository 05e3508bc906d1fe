package gastfreund.app.offerdesk;

import gastfreund.app.editing.Lists;
import gastfreund.app.editing.Sort;
import gastfreund.app.languages.Formats;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What stands in another element of an offer's lists before anything is typed into it. */
final class Rows {

    private static final int USUAL_MINUTES = 60;

    private Rows() {}

    /** Adds an element to one of the lists that can have another; nothing where there are enough, or it is no such list. */
    static void add(ObjectNode offer, String list, Formats f) {
        ObjectNode fresh = Sort.JSON.objectNode();
        switch (list) {
            case "lengths" -> fresh.put("id", Lists.id(offer, list, "length"))
                    .put("minutes", longest(offer) + USUAL_MINUTES)
                    .put("price", offer.path("lengths").path(0).path("price").longValue(0));
            case "addOns" -> fresh.put("id", Lists.id(offer, list, "add-on"))
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
            case "extra/questions" -> fresh.put("id", Lists.id(offer, list, "question"))
                    .put("label", f.text("offers.newQuestion"))
                    .put("kind", "text");
            default -> {
                return;
            }
        }
        Lists.add(offer, list, fresh);
    }

    /** Puts a picture behind those that there are. */
    static void addPicture(ObjectNode offer, String name) {
        String list = "extra/pictures";
        Lists.add(
                offer,
                list,
                Sort.JSON
                        .objectNode()
                        .put("id", Lists.id(offer, list, "picture"))
                        .put("name", name));
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
}
