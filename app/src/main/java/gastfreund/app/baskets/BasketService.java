package gastfreund.app.baskets;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.PrepaidOffer;
import gastfreund.app.extras.Ware;
import gastfreund.app.openings.OpeningsService;
import gastfreund.app.openings.Slot;
import gastfreund.app.pages.Links;
import gastfreund.app.typed.Written;
import gastfreund.app.visits.Visit;
import gastfreund.app.visits.Visits;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Line;
import gastfreund.core.offers.Offer;
import gastfreund.core.openings.Query;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What lies in guests' baskets; {@link Holds} holds the places. */
@Service
public class BasketService {

    /** The most lines in one basket, so that nobody empties a house's calendar with one. */
    static final int MOST_LINES = 12;

    private static final int MOST_CODE = 60;

    private final BookingStore bookings;
    private final BasketStore store;
    private final CatalogueService catalogues;
    private final OpeningsService openings;
    private final PrepaidService prepaid;
    private final Bills bills;
    private final Holds holds;
    private final Visits visits;
    private final Clock clock;

    BasketService(
            BasketStore store,
            CatalogueService catalogues,
            OpeningsService openings,
            PrepaidService prepaid,
            Bills bills,
            Holds holds,
            Visits visits,
            Clock clock,
            BookingStore bookings) {
        this.bookings = bookings;
        this.prepaid = prepaid;
        this.bills = bills;
        this.holds = holds;
        this.visits = visits;
        this.store = store;
        this.catalogues = catalogues;
        this.openings = openings;
        this.clock = clock;
    }

    public boolean exists(String token) {
        return store.exists(token);
    }

    /** The lines that are not yet ordered; the hold of what the house no longer sells so is over. */
    public List<BasketLine> lines(String token) {
        Catalogue catalogue = catalogues.catalogue();
        return store.lines(token).stream()
                .map(l -> isSold(l, catalogue) ? l : l.over())
                .toList();
    }

    /** Where a guest is led who has kept a place: a single booking goes straight to checkout where the house wants it so. */
    public String pageAfterKeeping(String token) {
        boolean straight =
                catalogues.catalogue().checkout().straight() && lines(token).size() == 1;
        return new Links(token).basketPage() + (straight ? "/checkout" : "");
    }

    private static boolean isSold(BasketLine line, Catalogue catalogue) {
        Offer offer = catalogue.offer(line.offer());
        return offer.length(line.length()).filter(l -> l.sells(line.units())).isPresent()
                && offer.party().allows(line.party())
                && line.addOns().entrySet().stream().allMatch(e -> offer.addOn(e.getKey())
                        .filter(a -> a.max() >= e.getValue())
                        .isPresent());
    }

    /**
     * Puts a voucher or a pass into a basket.
     *
     * @param links with the guest's basket, or from where they came who has none yet
     * @return the basket
     */
    @Transactional
    public String put(Links links, PrepaidOffer offer, Money price, String recipient, String greeting) {
        String token = holds.orFresh(links.basket(), links.source());
        if (prepaid.goodsOfBasket(token).size() < MOST_LINES) {
            prepaid.put(token, offer, price, recipient, greeting);
        }
        return token;
    }

    /** Puts so many of a ware into a basket, which may be a new one. The basket. */
    @Transactional
    public String put(Links links, Ware ware, int count) {
        String token = holds.orFresh(links.basket(), links.source());
        if (prepaid.goodsOfBasket(token).size() < MOST_LINES) {
            prepaid.put(token, ware, count);
        }
        return token;
    }

    /** Takes out of a basket the wares of which there are not so many any more; whether there were any. */
    @Transactional
    public boolean dropSoldOut(String basket) {
        List<Goods> out = prepaid.soldOut(basket);
        out.forEach(g -> prepaid.remove(basket, g.id()));
        return !out.isEmpty();
    }

    /** Takes what is not yet ordered out of a basket. */
    @Transactional
    public void removeGoods(String basket, String goods) {
        prepaid.remove(basket, goods);
    }

    /** Uses a voucher or a pass no longer for a basket. */
    @Transactional
    public void leave(String basket, String entered) {
        prepaid.leave(basket, entered);
    }

    /** Whether there is anything to order in a basket. */
    public boolean isEmpty(String basket) {
        return store.lines(basket).isEmpty() && prepaid.goodsOfBasket(basket).isEmpty();
    }

    /** Gives a held place back; false where the basket has no such line. */
    @Transactional
    public boolean release(String basket, BookingId line) {
        return bookings.release(basket, line);
    }

    /** One line that is not yet ordered; empty where the basket has no such line. */
    public Optional<BasketLine> line(String token, BookingId id) {
        return lines(token).stream().filter(l -> l.id().equals(id)).findFirst();
    }

    /** What a basket costs with these of its lines, and what pays for it. */
    public Bill bill(String basket, List<BasketLine> lines) {
        return bills.of(basket, lines);
    }

    /** The code that was entered for a basket, as it is compared; empty where none was. */
    public String promoCode(String basket) {
        return PromoCode.normal(store.promoCode(basket));
    }

    /** Enters the code of a voucher, a pass or a promotion for a basket; an empty one takes the last away. */
    @Transactional
    public void enterCode(String basket, String code) {
        Optional<Prepaid> found = prepaid.byCode(code);
        if (found.isPresent()) {
            prepaid.enter(basket, found.get());
        } else {
            store.setPromoCode(basket, Written.line(code, MOST_CODE));
        }
    }

    /** Chooses when a line is paid, where its offer leaves the choice. */
    @Transactional
    public void choosePay(String basket, BookingId line, Quote.Pay pay) {
        bookings.setPay(basket, line, pay.name().toLowerCase(Locale.ROOT));
    }

    /** The lines that take place at the guest's address, which is not known yet. */
    public static List<BasketLine> withoutAddress(List<BasketLine> lines, Catalogue catalogue) {
        return lines.stream()
                .filter(l -> Visits.isVisit(l.place(), catalogue))
                .filter(l -> l.visit() == null || !l.visit().place().equals(l.place()))
                .toList();
    }

    /** Notes where lines at the guest's address take place. */
    @Transactional
    public void visit(String basket, Map<BookingId, Visit> addresses) {
        List<BookingId> own = store.lines(basket).stream().map(BasketLine::id).toList();
        addresses.forEach((id, visit) -> {
            if (own.contains(id)) {
                visits.put(id, visit);
            }
        });
    }

    /** A line as it is priced. */
    public static Line priced(BasketLine line, Catalogue catalogue) {
        Offer offer = catalogue.offer(line.offer());
        Line plain = new Line(
                offer,
                offer.length(line.length()).orElseThrow(),
                line.units(),
                line.party(),
                line.addOns(),
                line.time().start(),
                line.staff(),
                line.place(),
                line.hold().since(),
                catalogue.zone());
        return Visits.sold(plain, line.visit(), catalogue);
    }

    /** The openings nearest to a line whose hold is over. */
    public List<Slot> nearest(BasketLine line) {
        Catalogue catalogue = catalogues.catalogue();
        Query query = line.reserved().query(catalogue.zone(), clock.instant());
        return openings.nearest(query, line.time().start(), 3).stream()
                .map(e -> Slot.of(e, catalogue.house()))
                .toList();
    }
}
