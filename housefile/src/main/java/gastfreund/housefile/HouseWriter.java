package gastfreund.housefile;

import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.Resource;
import gastfreund.core.offers.Staff;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.Collection;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a house file; what has its default is left out. */
final class HouseWriter {

    private final HouseFile file;
    private final HouseZone zone;

    HouseWriter(HouseFile file) {
        this.file = file;
        this.zone = file.house().zone();
    }

    ObjectNode written() {
        House house = file.house();
        ObjectNode root = object();
        root.put("format", HouseFile.FORMAT);
        ObjectNode head = root.putObject("house");
        head.put("name", house.name())
                .put("zone", zone.id().getId())
                .put("currency", house.currency().getCurrencyCode());
        ScheduleWriter.putHours(head, house.hours());
        putExtra(head, HouseFile.extraKey("house", ""));
        putAll(root, "places", house.places(), this::place);
        putAll(root, "staff", house.staff(), this::staff);
        putAll(root, "resources", house.resources(), this::resource);
        putAll(root, "offers", house.offers(), offer -> {
            ObjectNode written = new OfferWriter(offer).written();
            putRetired(written, house.retired().offers().contains(offer.id()));
            putExtra(written, HouseFile.extraKey("offers", offer.id().value()));
            return written;
        });
        putAll(root, "promoCodes", file.promoCodes().values(), this::promoCode);
        putAll(root, "bookings", file.bookings(), this::booking);
        putAll(root, "busy", file.busy(), this::busy);
        return root;
    }

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    /** An array of what is written of each; left out where there is none. */
    static <T> void putAll(ObjectNode owner, String name, Collection<T> things, Function<T, JsonNode> writer) {
        if (!things.isEmpty()) {
            ArrayNode array = owner.putArray(name);
            things.forEach(thing -> array.add(writer.apply(thing)));
        }
    }

    /** An array of the names of things. */
    static void putNames(ObjectNode owner, String name, Collection<?> things) {
        putAll(owner, name, things, thing -> JsonNodeFactory.instance.stringNode(thing.toString()));
    }

    private static void putRetired(ObjectNode owner, boolean retired) {
        if (retired) {
            owner.put("retired", true);
        }
    }

    private void putExtra(ObjectNode owner, String key) {
        JsonNode extra = file.extras().get(key);
        if (extra != null) {
            owner.set("extra", extra);
        }
    }

    private JsonNode place(Place place) {
        ObjectNode node = object().put("id", place.id().value()).put("name", place.name());
        node.put(
                "kind",
                switch (place.kind()) {
                    case ONSITE -> "onsite";
                    case ONLINE -> "online";
                    case PHONE -> "phone";
                    case GUEST_ADDRESS -> "guest";
                });
        ScheduleWriter.putHours(node, place.hours());
        putRetired(node, file.house().retired().places().contains(place.id()));
        putExtra(node, HouseFile.extraKey("places", place.id().value()));
        return node;
    }

    private JsonNode staff(Staff staff) {
        ObjectNode node = object().put("id", staff.id().value()).put("name", staff.name());
        staff.maxPerDay().ifPresent(most -> node.put("maxPerDay", most));
        ScheduleWriter.putHours(node, staff.hours());
        putRetired(node, file.house().retired().staff().contains(staff.id()));
        putExtra(node, HouseFile.extraKey("staff", staff.id().value()));
        return node;
    }

    private JsonNode resource(Resource resource) {
        ObjectNode node = object().put("id", resource.id().value()).put("name", resource.name());
        node.put("units", resource.units());
        ScheduleWriter.putHours(node, resource.hours());
        putRetired(node, file.house().retired().resources().contains(resource.id()));
        putExtra(node, HouseFile.extraKey("resources", resource.id().value()));
        return node;
    }

    private JsonNode promoCode(PromoCode promo) {
        ObjectNode node = object().put("code", promo.code());
        if (promo.worth() instanceof PromoCode.Worth.Share share) {
            OfferWriter.putPercent(node, "percent", share.percent());
        } else {
            node.put("amount", ((PromoCode.Worth.Amount) promo.worth()).amount().minor());
        }
        putNames(
                node,
                "offers",
                promo.offers().stream().map(OfferId::value).sorted().toList());
        if (promo.from() != null) {
            node.put("from", exact(promo.from()));
        }
        if (promo.to() != null) {
            node.put("to", exact(promo.to()));
        }
        if (promo.minSubtotal().isPositive()) {
            node.put("minSubtotal", promo.minSubtotal().minor());
        }
        promo.maxUses().ifPresent(most -> node.put("maxUses", most));
        if (promo.used() > 0) {
            node.put("used", promo.used());
        }
        return node;
    }

    private JsonNode booking(Booking booking) {
        ObjectNode node = object().put("id", booking.id().value())
                .put("offer", booking.offer().value());
        node.put("start", exact(Interval.instantOf(booking.start())));
        node.put("minutes", booking.minutes().count());
        putNames(node, "staff", booking.staff());
        if (booking.place() != null) {
            node.put("place", booking.place().value());
        }
        if (booking.party() != 1) {
            node.put("party", booking.party());
        }
        node.put("status", booking.status().code());
        if (booking.expires() != null) {
            node.put("expires", exact(booking.expires()));
        }
        if (!booking.addOns().isEmpty()) {
            ObjectNode addOns = node.putObject("addOns");
            booking.addOns().entrySet().stream()
                    .sorted(Map.Entry.comparingByKey((a, b) -> a.value().compareTo(b.value())))
                    .forEach(a -> addOns.put(a.getKey().value(), a.getValue()));
        }
        return node;
    }

    private JsonNode busy(Busy busy) {
        return object().put("staff", busy.staff().value())
                .put("from", exact(busy.interval().startInstant()))
                .put("to", exact(busy.interval().endInstant()));
    }

    private String exact(Instant instant) {
        return instant.atZone(zone.id()).toOffsetDateTime().toString();
    }
}
