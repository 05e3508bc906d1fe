package gastfreund.app.catalogue;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.housefile.Node;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

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
        KeepRules keeping,
        List<PrepaidOffer> prepaidOffers) {

    /** Reads them; what is wrong is noted as problems of the file. */
    static Extras of(Node file) {
        Set<OfferId> offers = new HashSet<>();
        Map<OfferId, Story> stories = new HashMap<>();
        Map<OfferId, List<Question>> questions = new HashMap<>();
        for (Node offer : file.elements("offers")) {
            OfferId id = new OfferId(offer.required("id").text());
            offers.add(id);
            offer.member("extra").ifPresent(extra -> {
                stories.put(id, Story.of(extra));
                questions.put(id, Question.of(extra));
            });
        }
        Map<PlaceId, String> notes = new HashMap<>();
        for (Node place : file.elements("places")) {
            place.member("extra")
                    .ifPresent(extra ->
                            notes.put(new PlaceId(place.required("id").text()), extra.textOrBlank("directions")));
        }
        Node house = file.required("house").at("extra");
        return new Extras(
                Story.of(house),
                Map.copyOf(stories),
                Map.copyOf(notes),
                Map.copyOf(questions),
                CheckoutRules.of(house),
                KeepRules.of(house),
                PrepaidOffer.of(house, offers));
    }

    /**
     * The id of something that has one of its own.
     *
     * @param taken those of its like before it; it is added
     * @param like what they are, in words
     */
    static String id(Node node, Set<String> taken, String like) {
        String id = node.required("id").text();
        if (!taken.add(id)) {
            node.at("id").problem("is the id of another " + like);
        }
        return id;
    }
}
