package gastfreund.app.openings;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.Story;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Markdown;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Place;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an offer's page shows.
 *
 * @param places where it can be had, with how they are found
 * @param terms what cancelling costs, in sentences
 * @param gone null where nothing was wanted that could not be had
 * @param keepAddress where an opening is kept
 * @param keepWord what its button says
 * @param keepHelp what keeping does
 */
public record OfferPage(
        Offer offer,
        Story story,
        String text,
        List<Where> places,
        List<String> terms,
        @Nullable Gone gone,
        Panel panel,
        String keepAddress,
        String keepWord,
        String keepHelp) {

    /** A place, and how it is found. */
    public record Where(String name, String directions, String map) {}

    /**
     * A time that could not be had.
     *
     * @param words why, in words
     * @param then what to do about it
     * @param nearest what can be had instead
     */
    public record Gone(String words, String then, List<Slot> nearest) {

        /** @param why one of {@link Panel#whyGone} */
        static Gone of(long start, String why, List<Slot> nearest, Formats f) {
            String then =
                    why.equals("moment") ? "offer.again" : nearest.isEmpty() ? "offer.noNearest" : "offer.nearest";
            return new Gone(f.text("offer.gone." + why, f.time(start)), f.text(then), nearest);
        }
    }

    static OfferPage of(
            Catalogue catalogue, Offer offer, @Nullable Gone gone, Panel panel, String keepAddress, Formats f) {
        return new OfferPage(
                offer,
                catalogue.storyOf(offer),
                Markdown.html(catalogue.storyOf(offer).text()),
                catalogue.house().placesOf(offer).stream()
                        .map(id -> {
                            Place place = catalogue.house().place(id);
                            return new Where(
                                    place.name(),
                                    place.kind() == Place.Kind.GUEST_ADDRESS
                                            ? catalogue.placeNotes(id).reach().words(catalogue.house(), f)
                                            : catalogue.placeNotes(id).found(f.words()),
                                    catalogue.placeNotes(id).map());
                        })
                        .toList(),
                terms(catalogue, offer, f),
                gone,
                panel,
                keepAddress,
                catalogue.shelfOf(offer.id()).button().isEmpty()
                        ? f.text("offer.keep")
                        : catalogue.shelfOf(offer.id()).button(),
                f.text("offer.keepHelp", catalogue.holdMinutes()));
    }

    /** What cancelling costs, and what the house says of paying when guests come. */
    private static List<String> terms(Catalogue catalogue, Offer offer, Formats f) {
        List<String> terms = new ArrayList<>(TermsInWords.of(offer.terms(), f));
        String words = catalogue.shelfOf(offer.id()).venueWords();
        boolean there =
                offer.payment().when() == Payment.When.VENUE || offer.payment().when() == Payment.When.CHOICE;
        if (there && !words.isEmpty()) {
            terms.add(words);
        }
        return List.copyOf(terms);
    }
}
