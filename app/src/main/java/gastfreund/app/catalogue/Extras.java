package gastfreund.app.catalogue;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.housefile.Node;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the application reads of a house file's members {@code extra} ({@code docs/house-format.md}, "What the application
 * keeps in {@code extra}"). Members that it does not know there are somebody else's and are left alone; inside its own
 * members they are problems.
 */
record Extras(
        Story story,
        Map<OfferId, Story> stories,
        Map<PlaceId, String> placeNotes,
        Map<OfferId, List<Question>> questions,
        CheckoutRules checkout,
        List<PrepaidOffer> prepaidOffers) {

    /** Reads them; what is wrong is noted as problems of the file. */
    static Extras of(Node file) {
        Set<OfferId> offers = ids(file.elements("offers"), OfferId::new);
        Map<OfferId, Story> stories = new HashMap<>();
        Map<OfferId, List<Question>> questions = new HashMap<>();
        for (Node offer : file.elements("offers")) {
            offer.member("extra").ifPresent(extra -> {
                OfferId id = new OfferId(offer.required("id").text());
                stories.put(id, Story.of(extra));
                questions.put(id, Question.of(extra));
            });
        }
        Map<PlaceId, String> notes = new HashMap<>();
        for (Node place : file.elements("places")) {
            place.member("extra")
                    .ifPresent(extra -> notes.put(
                            new PlaceId(place.required("id").text()), extra.textOrBlank("directions")));
        }
        Node house = file.required("house").at("extra");
        return new Extras(
                Story.of(house),
                Map.copyOf(stories),
                Map.copyOf(notes),
                Map.copyOf(questions),
                CheckoutRules.of(house),
                PrepaidOffer.of(house, offers));
    }

    private static <T> Set<T> ids(List<Node> things, Function<String, T> id) {
        return things.stream().map(t -> id.apply(t.json().path("id").asString(""))).collect(Collectors.toSet());
    }
}
