package gastfreund.app.found;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.About;
import gastfreund.app.extras.Story;
import gastfreund.app.languages.Formats;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.time.Interval;
import java.time.format.DateTimeFormatter;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The house and its offers in the words of schema.org. */
public final class Linked {

    private static final String CONTEXT = "https://schema.org";
    private static final String SCHEMA = "https://schema.org/";

    private final Catalogue catalogue;
    private final Formats f;
    private final String home;

    /** @param home the whole address of the house */
    public Linked(Catalogue catalogue, Formats f, String home) {
        this.catalogue = catalogue;
        this.f = f;
        this.home = home;
    }

    /** A session that can be booked. */
    public record Session(Interval time, Money price, int left) {}

    private static ObjectNode of(String type) {
        return JsonNodeFactory.instance.objectNode().put("@type", type);
    }

    /** Only what there is to say. */
    private static void put(ObjectNode node, String name, String value) {
        if (!value.isBlank()) {
            node.put(name, value);
        }
    }

    /** The house itself. */
    public ObjectNode house() {
        return provider().put("@context", CONTEXT);
    }

    private ObjectNode provider() {
        About about = catalogue.extras().about();
        ObjectNode house =
                of("LocalBusiness").put("name", catalogue.house().name()).put("url", home);
        put(house, "telephone", about.phone());
        put(house, "email", about.email());
        put(house, "address", about.address().replace("\n", ", "));
        put(house, "description", catalogue.story().summary());
        return house.put("currenciesAccepted", f.currencyCode());
    }

    /** An offer that people book when they like. */
    public ObjectNode service(Offer offer, String address) {
        ObjectNode service = of("Service")
                .put("@context", CONTEXT)
                .put("name", offer.title())
                .put("url", address);
        put(service, "description", catalogue.storyOf(offer).summary());
        service.set("provider", provider());
        if (!catalogue.isAgreed(offer.id())) {
            ArrayNode offers = service.putArray("offers");
            for (Length length : offer.lengths()) {
                offers.add(price(catalogue.house().fromPrice(offer, length), address)
                        .put("name", f.duration(length.minutes())));
            }
        }
        service.set("potentialAction", reserve(address));
        return service;
    }

    /** The dates of an offer that has dates of its own, as far as they can be booked. */
    public ObjectNode events(Offer offer, String address, List<Session> sessions) {
        ObjectNode all = JsonNodeFactory.instance.objectNode().put("@context", CONTEXT);
        ArrayNode graph = all.putArray("@graph");
        for (Session session : sessions) {
            ObjectNode event = of("Event")
                    .put("name", offer.title())
                    .put("url", address)
                    .put("startDate", at(session.time().start()))
                    .put("endDate", at(session.time().end()))
                    .put("eventStatus", SCHEMA + "EventScheduled")
                    .put("remainingAttendeeCapacity", session.left());
            put(event, "description", catalogue.storyOf(offer).summary());
            place(offer, event, address);
            event.set("organizer", provider());
            event.set("offers", price(session.price(), address).put("availability", SCHEMA + "InStock"));
            event.set("potentialAction", reserve(address));
            graph.add(event);
        }
        return all;
    }

    private void place(Offer offer, ObjectNode event, String address) {
        List<Place> places = catalogue.house().placesOf(offer).stream()
                .map(catalogue.house()::place)
                .toList();
        boolean online = !places.isEmpty() && places.get(0).kind() == Place.Kind.ONLINE;
        event.put("eventAttendanceMode", SCHEMA + (online ? "Online" : "Offline") + "EventAttendanceMode");
        if (online) {
            event.set("location", of("VirtualLocation").put("url", address));
            return;
        }
        ObjectNode where = of("Place")
                .put(
                        "name",
                        places.isEmpty()
                                ? catalogue.house().name()
                                : places.get(0).name());
        String own =
                places.isEmpty() ? "" : catalogue.placeNotes(places.get(0).id()).address();
        put(where, "address", (own.isEmpty() ? catalogue.extras().about().address() : own).replace("\n", ", "));
        event.set("location", where);
    }

    /** Something that is sold without a time. */
    public ObjectNode product(String title, Story story, Money price, String address) {
        ObjectNode product =
                of("Product").put("@context", CONTEXT).put("name", title).put("url", address);
        put(product, "description", story.summary());
        product.set("offers", price(price, address));
        return product;
    }

    private ObjectNode price(Money price, String address) {
        return of("Offer")
                .put("price", f.decimal(price))
                .put("priceCurrency", f.currencyCode())
                .put("url", address);
    }

    private static ObjectNode reserve(String address) {
        ObjectNode action = of("ReserveAction");
        action.set("target", of("EntryPoint").put("urlTemplate", address));
        action.set("result", of("Reservation"));
        return action;
    }

    private String at(long minute) {
        return Interval.instantOf(minute).atZone(f.zone().id()).format(DateTimeFormatter.ISO_OFFSET_DATE_TIME);
    }
}
