package gastfreund.app.catalogue;

import gastfreund.app.extras.CheckoutRules;
import gastfreund.app.extras.CodeRules;
import gastfreund.app.extras.DayNote;
import gastfreund.app.extras.Extras;
import gastfreund.app.extras.KeepRules;
import gastfreund.app.extras.Opening;
import gastfreund.app.extras.PlaceNotes;
import gastfreund.app.extras.Portrait;
import gastfreund.app.extras.PrepaidOffer;
import gastfreund.app.extras.Question;
import gastfreund.app.extras.Shelf;
import gastfreund.app.extras.Story;
import gastfreund.app.extras.Ware;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.House;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.time.HouseZone;
import gastfreund.core.time.Interval;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the house sells, as core values, with the words, pictures and rules that go with it.
 *
 * @param promoCodes by {@link PromoCode#normal}
 */
public record Catalogue(House house, Extras extras, Map<String, PromoCode> promoCodes) {

    /** Of the house. */
    public Story story() {
        return extras.story();
    }

    /** What the house wants at checkout. */
    public CheckoutRules checkout() {
        return extras.checkout();
    }

    /** Whether guests can book. */
    public Opening opening() {
        return extras.opening();
    }

    /** How long guests' data are kept. */
    public KeepRules keeping() {
        return extras.keeping();
    }

    /** For how many minutes something is kept for whoever waited for it; 0: there is no waiting list. */
    public int wishMinutes() {
        return extras.waits().wishMinutes();
    }

    /** In how many hours a request is answered, or lapses. */
    public int answerHours() {
        return extras.waits().answerHours();
    }

    /** For how long a place is kept in a basket. */
    public int holdMinutes() {
        return extras.waits().holdMinutes();
    }

    /** The vouchers and passes that the house sells. */
    public List<PrepaidOffer> prepaidOffers() {
        return extras.prepaidOffers();
    }

    /** @param code as it was written */
    public CodeRules codeRules(String code) {
        return extras.codes().getOrDefault(PromoCode.normal(code), CodeRules.none());
    }

    /** The time of something, where its guest need not be in the house's town: online or by telephone; null: they are there. */
    public @Nullable Interval elsewhere(@Nullable PlaceId place, Interval time) {
        return place != null && isElsewhere(place) ? time : null;
    }

    /** Whether guests are visited at a place, and something depends on how far they are. */
    public boolean isMeasured(@Nullable PlaceId place) {
        return place != null
                && house.place(place).kind() == Place.Kind.GUEST_ADDRESS
                && placeNotes(place).reach().isMeasured();
    }

    /** Whether guests of a place can be anywhere: online or by telephone. */
    public boolean isElsewhere(PlaceId place) {
        Place.Kind kind = house.place(place).kind();
        return kind == Place.Kind.ONLINE || kind == Place.Kind.PHONE;
    }

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
        return extras.questions().getOrDefault(offer, List.of());
    }

    /** A voucher or a pass that the house sells. */
    public Optional<PrepaidOffer> prepaidOffer(String id) {
        return extras.prepaidOffers().stream().filter(o -> o.id().equals(id)).findFirst();
    }

    /** Goods that the house sells without a time. */
    public Optional<Ware> ware(String id) {
        return extras.wares().stream().filter(w -> w.id().equals(id)).findFirst();
    }

    public PlaceNotes placeNotes(PlaceId place) {
        return extras.placeNotes().getOrDefault(place, PlaceNotes.none());
    }

    /** What the house says of a person; empty: nothing. */
    public String wordsOf(StaffId person) {
        Portrait portrait = extras.portraits().get(person);
        return portrait == null ? "" : portrait.words();
    }

    /** The file name of a person's picture; empty: none. */
    public String pictureOf(StaffId person) {
        Portrait portrait = extras.portraits().get(person);
        return portrait == null ? "" : portrait.picture();
    }

    /** Why the house is closed on a date; empty where nobody said. */
    public String whyClosed(LocalDate date) {
        return extras.dayNotes().stream()
                .filter(n -> n.covers(date))
                .map(DayNote::words)
                .findFirst()
                .orElse("");
    }

    public Shelf shelfOf(OfferId offer) {
        return extras.shelves().getOrDefault(offer, Shelf.usual());
    }

    /** Whether the price of an offer is agreed with each guest. */
    public boolean isAgreed(OfferId offer) {
        return shelfOf(offer).agreement();
    }

    /** Whether guests can book an offer: it is neither retired nor off. */
    public boolean isOpen(OfferId offer) {
        return !house.retired().offers().contains(offer) && shelfOf(offer).listing() != Shelf.Listing.OFF;
    }

    /** An offer that guests can book; empty where there is none of that id. */
    public Optional<Offer> openOffer(String id) {
        return offer(id).filter(o -> isOpen(o.id()));
    }

    /** The offers that everybody sees, in the house's order. */
    public List<Offer> listed() {
        return house.onSale().stream()
                .filter(o -> shelfOf(o.id()).listing() == Shelf.Listing.LISTED)
                .sorted(Comparator.comparingInt(o -> place(o.id())))
                .toList();
    }

    private int place(OfferId offer) {
        int at = extras.order().indexOf(offer);
        return at < 0 ? Integer.MAX_VALUE : at;
    }

    public Story storyOf(Offer offer) {
        return extras.stories().getOrDefault(offer.id(), Story.none());
    }
}
