package gastfreund.app.api;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.About;
import gastfreund.app.extras.Question;
import gastfreund.app.pages.Address;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.Length;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.StaffId;
import gastfreund.housefile.TermsWriter;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the house and what it offers, as far as guests may see it. */
@Component
class HouseJson {

    private final Address address;

    HouseJson(Address address) {
        this.address = address;
    }

    ObjectNode house(Catalogue catalogue) {
        About about = catalogue.extras().about();
        ObjectNode node = Json.object()
                .put("name", catalogue.house().name())
                .put("summary", catalogue.story().summary())
                .put("zone", catalogue.zone().id().getId())
                .put("currency", catalogue.house().currency().getCurrencyCode())
                .put("phone", about.phone())
                .put("email", about.email())
                .put("address", about.address())
                .put("holdMinutes", catalogue.holdMinutes())
                .put("page", address.of("/"));
        node.set(
                "languages",
                Json.names(catalogue.extras().manners().languages().stream()
                        .map(Locale::toLanguageTag)
                        .toList()));
        node.set(
                "places",
                Json.array(catalogue.house().places().stream()
                        .filter(p -> !catalogue.house().retired().places().contains(p.id()))
                        .map(p -> place(catalogue, p))
                        .toList()));
        node.set(
                "texts",
                Json.array(catalogue.checkout().texts().stream()
                        .map(t -> Json.object()
                                .put("id", t.id())
                                .put("title", t.title())
                                .put("agree", t.agree())
                                .put("page", address.of("/texts/" + t.id())))
                        .toList()));
        return node;
    }

    private static ObjectNode place(Catalogue catalogue, Place place) {
        return Json.object()
                .put("id", place.id().value())
                .put("name", place.name())
                .put("kind", kind(place.kind()))
                .put("address", catalogue.placeNotes(place.id()).address());
    }

    /** As in a house file. */
    private static String kind(Place.Kind kind) {
        return switch (kind) {
            case ONSITE -> "onsite";
            case ONLINE -> "online";
            case PHONE -> "phone";
            case GUEST_ADDRESS -> "guest";
        };
    }

    ObjectNode offers(Catalogue catalogue) {
        return Json.with(
                "offers",
                Json.array(catalogue.listed().stream()
                        .map(o -> offer(catalogue, o))
                        .toList()));
    }

    ObjectNode offer(Catalogue catalogue, Offer offer) {
        ObjectNode node = Json.object()
                .put("id", offer.id().value())
                .put("title", offer.title())
                .put("summary", catalogue.storyOf(offer).summary())
                .put("category", catalogue.shelfOf(offer.id()).category())
                .put("page", address.of("/offers/" + offer.id()))
                .put("mode", offer.hasTimetable() ? "timetable" : "open")
                .put("basis", offer.basis() == Offer.Basis.PERSON ? "person" : "booking")
                .put("confirm", confirm(offer.confirm()))
                .put("priceIsAgreed", catalogue.isAgreed(offer.id()))
                .put("taxPercent", offer.taxRate().toString());
        node.putObject("party")
                .put("min", offer.party().min())
                .put("max", offer.party().max());
        node.set(
                "lengths",
                Json.array(offer.lengths().stream()
                        .map(l -> length(catalogue, offer, l))
                        .toList()));
        node.set("places", Json.names(catalogue.house().placesOf(offer)));
        node.set("staff", staff(catalogue, offer));
        node.set(
                "addOns",
                Json.array(offer.addOns().stream().map(HouseJson::addOn).toList()));
        node.set(
                "questions",
                Json.array(catalogue.questionsOf(offer.id()).stream()
                        .map(HouseJson::question)
                        .toList()));
        node.set("payment", TermsWriter.payment(offer.payment()));
        node.set("terms", TermsWriter.terms(offer.terms()));
        return node;
    }

    /** As in a house file. */
    private static String confirm(Offer.Confirm confirm) {
        return switch (confirm) {
            case INSTANT -> "instant";
            case BY_HAND -> "byHand";
            case ON_PAYMENT -> "onPayment";
        };
    }

    private static ObjectNode length(Catalogue catalogue, Offer offer, Length length) {
        ObjectNode node = Json.object()
                .put("id", length.id().value())
                .put("minutes", length.minutes().count())
                .put("priceFrom", catalogue.house().fromPrice(offer, length).minor());
        node.putObject("units").put("min", length.minUnits()).put("max", length.maxUnits());
        return node;
    }

    private static ArrayNode staff(Catalogue catalogue, Offer offer) {
        List<StaffId> serving = offer.serving().of().stream()
                .filter(s -> !catalogue.house().retired().staff().contains(s))
                .toList();
        return Json.array(serving.stream()
                .map(s -> Json.object()
                        .put("id", s.value())
                        .put("name", catalogue.house().staff(s).name()))
                .toList());
    }

    private static ObjectNode addOn(AddOn addOn) {
        return Json.object()
                .put("id", addOn.id().value())
                .put("title", addOn.title())
                .put("price", addOn.price().minor())
                .put("per", addOn.per().name().toLowerCase(Locale.ROOT))
                .put("max", addOn.max())
                .put("minutes", addOn.minutes().count());
    }

    private static ObjectNode question(Question question) {
        ObjectNode node = Json.object()
                .put("id", question.id())
                .put("label", question.label())
                .put("kind", question.kind().name().toLowerCase(Locale.ROOT))
                .put("required", question.required())
                .put("perPerson", question.perPerson());
        node.set("options", Json.names(question.options()));
        return node;
    }
}
