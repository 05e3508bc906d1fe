package gastfreund.app.catalogue;

import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.time.HouseZone;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the house sells, as core values, with the words and pictures that go with it.
 *
 * @param story of the house
 * @param stories of offers
 * @param shelves where offers stand in the shop
 * @param placeNotes how to find a place
 * @param portraits of people
 * @param dayNotes why the house is closed on some days
 * @param order in which offers are shown; those that it does not name come after
 * @param opening whether guests can book
 * @param questions that offers ask at checkout
 * @param checkout what the house wants there
 * @param keeping how long guests' data are kept
 * @param prepaidOffers the vouchers and passes that the house sells
 * @param promoCodes by {@link PromoCode#normal}
 * @param answerHours in how many hours a request is answered, or lapses
 */
public record Catalogue(
        House house,
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
        Map<String, PromoCode> promoCodes,
        int holdMinutes,
        int answerHours) {

    public HouseZone zone() {
        return house.zone();
    }

    public Optional<Offer> offer(String id) {
        return id.isBlank() ? Optional.empty() : house.offer(new OfferId(id));
    }

    /** @throws IllegalArgumentException where the house has no such offer */
    public Offer offer(OfferId id) {
        return house.offer(id).orElseThrow(() -> new IllegalArgumentException("the house has no offer " + id));
    }

    public List<Question> questionsOf(OfferId offer) {
        return questions.getOrDefault(offer, List.of());
    }

    /** A voucher or a pass that the house sells. */
    public Optional<PrepaidOffer> prepaidOffer(String id) {
        return prepaidOffers.stream().filter(o -> o.id().equals(id)).findFirst();
    }

    public PlaceNotes placeNotes(PlaceId place) {
        return placeNotes.getOrDefault(place, PlaceNotes.none());
    }

    /** What the house says of a person; empty: nothing. */
    public String wordsOf(StaffId person) {
        Portrait portrait = portraits.get(person);
        return portrait == null ? "" : portrait.words();
    }

    /** The file name of a person's picture; empty: none. */
    public String pictureOf(StaffId person) {
        Portrait portrait = portraits.get(person);
        return portrait == null ? "" : portrait.picture();
    }

    /** Why the house is closed on a date; empty where nobody said. */
    public String whyClosed(LocalDate date) {
        return dayNotes.stream()
                .filter(n -> n.covers(date))
                .map(DayNote::words)
                .findFirst()
                .orElse("");
    }

    public Shelf shelfOf(OfferId offer) {
        return shelves.getOrDefault(offer, Shelf.usual());
    }

    /** Whether guests can book an offer: it is neither retired nor off. */
    public boolean isOpen(OfferId offer) {
        return !house.retired().offers().contains(offer) && shelfOf(offer).listing() != Shelf.Listing.OFF;
    }

    /** The offers that everybody sees, in the house's order. */
    public List<Offer> listed() {
        return house.onSale().stream()
                .filter(o -> shelfOf(o.id()).listing() == Shelf.Listing.LISTED)
                .sorted(Comparator.comparingInt(o -> place(o.id())))
                .toList();
    }

    private int place(OfferId offer) {
        int at = order.indexOf(offer);
        return at < 0 ? Integer.MAX_VALUE : at;
    }

    public Story storyOf(Offer offer) {
        return stories.getOrDefault(offer.id(), Story.none());
    }
}
