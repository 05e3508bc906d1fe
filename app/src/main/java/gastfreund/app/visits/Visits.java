package gastfreund.app.visits;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.extras.Reach;
import gastfreund.app.languages.Formats;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Place;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.time.Minutes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Knows where bookings at their guests' addresses take place, and sells the way there with them. */
@Service
public class Visits {

    /** The way as it is sold: an add-on of the line, which goes wherever add-ons go. */
    private static final AddOnId WAY = new AddOnId("the-way");

    private static final double METRES = 1000;

    private final VisitStore store;
    private final Geocoder geocoder;

    Visits(VisitStore store, Geocoder geocoder) {
        this.store = store;
        this.geocoder = geocoder;
    }

    /** Whether guests are visited there. */
    public static boolean isVisit(@Nullable PlaceId place, Catalogue catalogue) {
        return place != null && catalogue.house().place(place).kind() == Place.Kind.GUEST_ADDRESS;
    }

    /**
     * A line as it is sold at a guest's address: with the way, and by the host's yes where nobody could measure it.
     *
     * @param visit null, or for another place: nothing is known yet
     */
    public static Line sold(Line line, @Nullable Visit visit, Catalogue catalogue) {
        PlaceId place = line.place();
        if (visit == null || place == null || !place.equals(visit.place()) || !isVisit(place, catalogue)) {
            return line;
        }
        Reach reach = catalogue.placeNotes(place).reach();
        if (!reach.isMeasured()) {
            return line;
        }
        if (visit.metres() == null) {
            return line.with(line.offer().byHand(), line.addOns());
        }
        Money price = reach.price(visit.metres());
        if (!price.isPositive()) {
            return line;
        }
        String title = catalogue.house().place(place).name() + ", " + Reach.begun(visit.metres()) + " km";
        Offer offer = line.offer();
        List<AddOn> addOns = new ArrayList<>(offer.addOns());
        addOns.add(new AddOn(WAY, title, price, AddOn.Per.BOOKING, 1, Minutes.of(0)));
        Map<AddOnId, Integer> quantities = new HashMap<>(line.addOns());
        quantities.put(WAY, 1);
        return line.with(offer.with(offer.lengths(), addOns, offer.party()), quantities);
    }

    /** Whether the house has to look at the way itself. */
    public static boolean isUnmeasured(@Nullable Visit visit, Catalogue catalogue) {
        return visit != null
                && visit.metres() == null
                && catalogue.placeNotes(visit.place()).reach().isMeasured();
    }

    /**
     * Looks for an address.
     *
     * @param measured whether anything depends on where it is
     * @param meant the label of the one that is meant, of several; null: nobody said
     */
    public Looked look(String address, boolean measured, @Nullable String meant) {
        Optional<List<Found>> found = measured ? geocoder.find(address) : Optional.empty();
        return found.map(all -> Looked.of(all, meant)).orElse(Looked.UNASKED);
    }

    /**
     * A visit to an address.
     *
     * @param found where it is; null where that is not known
     */
    public Visit visit(PlaceId place, String address, @Nullable Found found, Catalogue catalogue) {
        PlaceId from = catalogue.placeNotes(place).reach().from();
        if (found == null || from == null) {
            return new Visit(place, address, null);
        }
        Integer metres = geocoder.place(catalogue.placeNotes(from).address())
                .map(start -> start.metresTo(found))
                .orElse(null);
        return new Visit(place, address, metres);
    }

    /** Notes where a booking takes place; belongs into the transaction that changes it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void put(BookingId booking, Visit visit) {
        store.put(booking, visit);
    }

    /** Where a booking takes place, in lines, as its guest and the house see it; empty where it is no visit. */
    public String words(BookingId booking, Catalogue catalogue, Formats f) {
        return store.of(booking).map(v -> words(v, catalogue, f)).orElse("");
    }

    /** The same of a visit. */
    public static String words(Visit visit, Catalogue catalogue, Formats f) {
        Reach reach = catalogue.placeNotes(visit.place()).reach();
        PlaceId from = reach.from();
        if (!reach.isMeasured() || from == null) {
            return visit.address();
        }
        return visit.address() + "\n"
                + (visit.metres() == null
                        ? f.text("place.unmeasured")
                        : f.text(
                                "place.away",
                                visit.metres() / METRES,
                                catalogue.house().place(from).name()));
    }

    /** What the way to a visit costs as it is sold now. */
    public static Money price(Visit visit, Catalogue catalogue) {
        return visit.metres() == null
                ? Money.ZERO
                : catalogue.placeNotes(visit.place()).reach().price(visit.metres());
    }
}
