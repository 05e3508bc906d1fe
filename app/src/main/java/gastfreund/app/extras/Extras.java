package gastfreund.app.extras;

import gastfreund.app.wording.HouseLetters;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.orders.PromoCode;
import gastfreund.housefile.Node;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * What the application reads of a house file's members {@code extra} ({@code docs/house-format.md}, "What the application
 * keeps in {@code extra}"). Members that it does not know there are somebody else's and are left alone; inside its own
 * members they are problems.
 */
public record Extras(
        Story story,
        Map<OfferId, Story> stories,
        Map<OfferId, Shelf> shelves,
        Map<PlaceId, PlaceNotes> placeNotes,
        Map<StaffId, Portrait> portraits,
        List<DayNote> dayNotes,
        List<OfferId> order,
        Opening opening,
        Map<OfferId, List<Question>> questions,
        CheckoutRules checkout,
        KeepRules keeping,
        List<PrepaidOffer> prepaidOffers,
        About about,
        Legal legal,
        Look look,
        Manners manners,
        Calls calls,
        Waits waits,
        Quiet quiet,
        Map<String, CodeRules> codes,
        List<Ware> wares,
        Sharing sharing,
        HouseLetters letters,
        Mailing mailing) {

    /** Reads them; what is wrong is noted as problems of the file. */
    public static Extras of(Node file) {
        Set<OfferId> offers = new HashSet<>();
        Map<OfferId, Story> stories = new HashMap<>();
        Map<OfferId, Shelf> shelves = new HashMap<>();
        Map<OfferId, List<Question>> questions = new HashMap<>();
        Map<OfferId, Node> offerExtras = new HashMap<>();
        for (Node offer : file.elements("offers")) {
            OfferId id = new OfferId(offer.required("id").text());
            offers.add(id);
            offer.member("extra").ifPresent(extra -> {
                offerExtras.put(id, extra);
                stories.put(id, Story.of(extra));
                shelves.put(id, Shelf.of(extra));
                agreement(offer, extra);
                questions.put(id, Question.of(extra));
            });
        }
        Map<PlaceId, PlaceNotes> notes = new HashMap<>();
        for (Node place : file.elements("places")) {
            place.member("extra")
                    .ifPresent(extra -> notes.put(
                            new PlaceId(place.required("id").text()),
                            PlaceNotes.of(extra, place.json().path("kind").stringValue("onsite"))));
        }
        for (Node place : file.elements("places")) {
            from(place, notes);
        }
        Map<StaffId, Portrait> portraits = new HashMap<>();
        for (Node person : file.elements("staff")) {
            person.member("extra")
                    .ifPresent(extra ->
                            portraits.put(new StaffId(person.required("id").text()), Portrait.of(extra)));
        }
        for (String kind : List.of("places", "staff", "resources")) {
            file.elements(kind).forEach(thing -> thing.member("extra").ifPresent(DayNote::of));
        }
        for (String kind : List.of("places", "staff", "resources", "offers")) {
            file.elements(kind).forEach(thing -> thing.member("extra").ifPresent(Tongues::check));
        }
        Node house = file.required("house").at("extra");
        Tongues.check(house);
        house.truth("ownHours");
        List<OfferId> order = house.elements("offers").stream()
                .map(o -> new OfferId(o.text()))
                .toList();
        List<DayNote> closures = DayNote.of(house);
        Set<String> sold = new HashSet<>();
        return new Extras(
                Story.of(house),
                Map.copyOf(stories),
                Map.copyOf(shelves),
                Map.copyOf(notes),
                Map.copyOf(portraits),
                closures,
                order,
                Opening.of(house),
                Map.copyOf(questions),
                CheckoutRules.of(house),
                KeepRules.of(house),
                PrepaidOffer.of(house, offers, sold),
                About.of(house),
                Legal.of(house),
                Look.of(house),
                Manners.of(house),
                Calls.of(house),
                Waits.of(house),
                Quiet.of(house),
                codes(file),
                Ware.of(house, sold),
                Sharing.of(house),
                HouseLetters.of(house, offerExtras),
                Mailing.of(house));
    }

    /** Where the price is agreed, the guest asks and is charged nothing before the host has named it. */
    private static void agreement(Node offer, Node extra) {
        if (!extra.truth("agreement")) {
            return;
        }
        if (!offer.json().path("confirm").stringValue("").equals("byHand")) {
            extra.at("agreement").problem("goes with confirm byHand only");
        }
        for (JsonNode length : offer.json().path("lengths")) {
            if (length.path("price").longValue(0) != 0) {
                extra.at("agreement").problem("goes with lengths of price 0 only");
            }
        }
    }

    /** By the code as codes are compared. */
    private static Map<String, CodeRules> codes(Node file) {
        Map<String, CodeRules> codes = new HashMap<>();
        for (Node code : file.elements("promoCodes")) {
            CodeRules.checkDates(code);
            code.member("extra")
                    .ifPresent(extra ->
                            codes.put(PromoCode.normal(code.required("code").text()), CodeRules.of(extra)));
        }
        return Map.copyOf(codes);
    }

    /** Ways are measured from a place whose address is known. */
    private static void from(Node place, Map<PlaceId, PlaceNotes> notes) {
        PlaceNotes own = notes.getOrDefault(new PlaceId(place.required("id").text()), PlaceNotes.none());
        PlaceId from = own.reach().from();
        if (from != null
                && notes.getOrDefault(from, PlaceNotes.none()).address().isEmpty()) {
            place.at("extra").at("from").problem("must be a place on site that has an address");
        }
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
