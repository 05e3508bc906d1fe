package gastfreund.app.wording;

import gastfreund.app.languages.Languages;
import gastfreund.core.hours.OfferId;
import gastfreund.housefile.Node;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The letters of a house in its own words.
 *
 * @param house those of all offers
 * @param offers an offer's own versions, and letters of its own beside them
 * @param quietMails whether mails that are timed keep the quiet hours too
 */
public record HouseLetters(List<OwnLetter> house, Map<OfferId, List<OwnLetter>> offers, boolean quietMails) {

    /** How long before or after a booking a letter can go, in minutes: a year. */
    public static final int MOST_MINUTES = 366 * 24 * 60;

    private static final int MOST_LETTERS = 40;

    /**
     * Reads them; what is wrong is noted as problems of the file.
     *
     * @param offers what stands in the {@code extra} of each offer
     */
    public static HouseLetters of(Node house, Map<OfferId, Node> offers) {
        Map<OfferId, List<OwnLetter>> own = new HashMap<>();
        offers.forEach((offer, extra) -> own.put(offer, letters(extra)));
        return new HouseLetters(letters(house), Map.copyOf(own), house.truth("quietMails"));
    }

    private static List<OwnLetter> letters(Node extra) {
        List<Node> nodes = extra.elements("letters");
        if (nodes.size() > MOST_LETTERS) {
            extra.at("letters").problem("can be " + MOST_LETTERS + " at most");
        }
        Set<String> ids = new HashSet<>();
        return nodes.stream().map(node -> letter(node, ids)).toList();
    }

    private static OwnLetter letter(Node node, Set<String> ids) {
        List<String> known = new ArrayList<>(List.of("id", "occasion", "minutes", "off", "texts", "to"));
        Languages.all().forEach(l -> known.add(l.toLanguageTag()));
        node.object(known.toArray(String[]::new));
        String id = node.required("id").text();
        if (!ids.add(id)) {
            node.at("id").problem("is the id of another letter");
        }
        Occasion occasion =
                Occasion.of(node.required("occasion").word(Occasion.codes())).orElseThrow();
        if (!occasion.isTimed() && !id.equals(occasion.code())) {
            node.at("id").problem("must be that of its occasion, of which there is one letter");
        }
        if (occasion.isTimed() != node.has("minutes")) {
            node.at("minutes").problem("goes with letters before and after only");
        }
        boolean people =
                node.word("to", new String[] {"guest", "people"}, "guest").equals("people");
        if (people && occasion != Occasion.BEFORE) {
            node.at("to").problem("goes with letters before bookings only");
        }
        return new OwnLetter(
                id,
                occasion,
                node.integer("minutes", 0, MOST_MINUTES, 0),
                node.truth("off"),
                node.truth("texts"),
                people,
                wordings(node));
    }

    private static Map<Locale, Wording> wordings(Node node) {
        Map<Locale, Wording> wordings = new HashMap<>();
        for (Locale language : Languages.all()) {
            node.member(language.toLanguageTag()).ifPresent(said -> {
                said.object("subject", "text", "message");
                wordings.put(
                        language,
                        new Wording(
                                tagged(said.required("subject")),
                                tagged(said.required("text")),
                                said.member("message").map(HouseLetters::tagged).orElse("")));
            });
        }
        return Map.copyOf(wordings);
    }

    private static String tagged(Node node) {
        String text = node.text();
        Tags.wrong(text).ifPresent(node::problem);
        return text;
    }

    /** Whether any letter goes as a text message. */
    public boolean sendsTexts() {
        return Stream.concat(house.stream(), offers.values().stream().flatMap(List::stream))
                .anyMatch(OwnLetter::texts);
    }

    /** The letters of an offer: those of the house, in the offer's version where it has one, and then its own. */
    public List<OwnLetter> of(OfferId offer) {
        Map<String, OwnLetter> all = new LinkedHashMap<>();
        house.forEach(letter -> all.put(letter.id(), letter));
        offers.getOrDefault(offer, List.of())
                .forEach(letter -> all.merge(letter.id(), letter, (before, own) -> own.over(before)));
        return List.copyOf(all.values());
    }

    /** The letter of an occasion that is not timed; empty where nothing was said of it: it goes in our own words. */
    public Optional<OwnLetter> on(Occasion occasion, OfferId offer) {
        return of(offer).stream().filter(l -> l.occasion() == occasion).findFirst();
    }
}
