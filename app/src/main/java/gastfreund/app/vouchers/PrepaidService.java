package gastfreund.app.vouchers;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.extras.PrepaidOffer;
import gastfreund.app.extras.Ware;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Sells, issues and uses vouchers and passes. Whatever changes one belongs into the transaction that causes it, which has
 * the write lock from its beginning: what was read as left is still left when it is taken.
 */
@Service
public class PrepaidService {

    private static final int MOST_TYPED = 100;
    private static final Pattern BETWEEN = Pattern.compile("[^A-Z0-9]++");
    private static final Pattern GROUP = Pattern.compile(".{4}(?=.)");
    private static final int GROUPS = 3;
    private static final int LETTERS_OF_A_GROUP = 4;

    private final PrepaidStore store;
    private final CatalogueService catalogues;
    private final Tokens tokens;
    private final Clock clock;

    PrepaidService(PrepaidStore store, CatalogueService catalogues, Tokens tokens, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** Finds one by its code, however it was typed: case and what stands between letters do not matter. */
    public Optional<Prepaid> byCode(String typed) {
        if (typed.length() > MOST_TYPED) {
            return Optional.empty();
        }
        String letters = BETWEEN.matcher(typed.toUpperCase(Locale.ROOT)).replaceAll("");
        if (letters.length() != GROUPS * LETTERS_OF_A_GROUP) {
            return Optional.empty();
        }
        return store.byCode(GROUP.matcher(letters).replaceAll("$0-"));
    }

    /** @throws java.util.NoSuchElementException where there is none */
    public Prepaid byId(String id) {
        return store.byId(id).orElseThrow();
    }

    public LocalDate today() {
        return catalogues.catalogue().zone().dateOf(clock.instant());
    }

    /** What was entered for a basket; the one that ends first is used first. */
    public List<Prepaid> ofBasket(String basket) {
        return store.ofBasket(basket);
    }

    public void enter(String basket, Prepaid prepaid) {
        store.enter(basket, prepaid.id());
    }

    public void leave(String basket, String prepaid) {
        store.leave(basket, prepaid);
    }

    /** The vouchers and passes that a basket is about to buy. */
    public List<Goods> goodsOfBasket(String basket) {
        return store.goodsOfBasket(basket);
    }

    public List<Goods> goodsOfOrder(long order) {
        return store.goodsOfOrder(order);
    }

    /** The titles of the vouchers and passes that orders buy, by order. */
    public Map<Long, List<String>> titlesOf(List<Long> orders) {
        return store.titlesOf(orders);
    }

    /** Puts a voucher or a pass into a basket. */
    public void put(String basket, PrepaidOffer offer, Money price, String recipient, String greeting) {
        store.insertGoods(
                basket,
                new Goods(
                        tokens.next(),
                        offer.id(),
                        offer.isPass() ? Goods.Kind.PASS : Goods.Kind.VOUCHER,
                        offer.title(),
                        price,
                        offer.isPass() ? offer.visits() : price.minor(),
                        offer.offers(),
                        offer.taxRate(),
                        offer.months(),
                        recipient,
                        greeting,
                        null,
                        false,
                        "",
                        false));
    }

    /** Puts so many of a ware into a basket. They are nobody's before they are ordered. */
    public void put(String basket, Ware ware, int count) {
        store.insertGoods(
                basket,
                new Goods(
                        tokens.next(),
                        ware.id(),
                        Goods.Kind.WARE,
                        ware.title(),
                        ware.price().times(count),
                        count,
                        Set.of(),
                        ware.taxRate(),
                        1,
                        "",
                        "",
                        null,
                        false,
                        ware.withBooking() ? "booking" : "house",
                        false));
    }

    /**
     * How it stands with a ware.
     *
     * @param sold and not taken back
     * @param awaited in orders that can still be paid
     */
    public record Stock(int sold, int awaited) {

        public int taken() {
            return sold + awaited;
        }
    }

    public Stock stockOf(String product) {
        return new Stock(store.sold(product), store.awaited(product, clock.instant()));
    }

    /**
     * The wares of a basket of which there are not so many any more; in the transaction that orders them, which has the write
     * lock from its beginning: of two guests who want the last one gets it.
     */
    public List<Goods> soldOut(String basket) {
        Catalogue catalogue = catalogues.catalogue();
        Map<String, Long> wanted = new HashMap<>();
        List<Goods> out = new ArrayList<>();
        for (Goods goods : store.goodsOfBasket(basket)) {
            if (goods.isWare()) {
                long all = wanted.merge(goods.product(), goods.worth(), Long::sum);
                if (!isThere(catalogue, goods.product(), all)) {
                    out.add(goods);
                }
            }
        }
        return out;
    }

    /** Whether a ware of an order, whose money came late perhaps, can still be had. */
    public boolean isToBeHad(Goods goods, boolean lapsed) {
        if (!goods.isWare() || !lapsed) {
            return true;
        }
        return isThere(catalogues.catalogue(), goods.product(), goods.worth());
    }

    /** Whether so many of goods are still sold and not taken yet. */
    private boolean isThere(Catalogue catalogue, String product, long count) {
        return catalogue
                .ware(product)
                .filter(w -> w.stock().isEmpty()
                        || stockOf(w.id()).taken() + count <= w.stock().getAsInt())
                .isPresent();
    }

    /** Wares were paid for. */
    public void sell(Goods ware) {
        store.soldAt(ware.id(), clock.instant());
    }

    public boolean remove(String basket, String goods) {
        return store.removeGoods(basket, goods);
    }

    /** What a basket was about to buy belongs to an order now. */
    public void order(String basket, long order) {
        store.order(basket, order);
    }

    /** Issues a voucher or a pass that was paid for. */
    public Prepaid issue(Goods goods) {
        LocalDate lastDay = today().plusMonths(goods.months());
        Prepaid prepaid = new Prepaid(
                tokens.next(),
                goods.kind() == Goods.Kind.PASS ? Prepaid.Kind.PASS : Prepaid.Kind.VOUCHER,
                newCode(),
                goods.title(),
                goods.worth(),
                goods.worth(),
                goods.offers(),
                lastDay,
                goods.recipient(),
                goods.greeting());
        store.insert(prepaid, clock.instant());
        store.issued(goods.id(), prepaid.id());
        return prepaid;
    }

    private String newCode() {
        return GROUP.matcher(tokens.letters(GROUPS * LETTERS_OF_A_GROUP)).replaceAll("$0-");
    }

    /**
     * Takes something of a voucher or a pass.
     *
     * @param booking the booking that is paid; null where it is none alone
     * @throws IllegalStateException where there is not so much left
     */
    public void take(Prepaid prepaid, long order, @Nullable BookingId booking, long amount) {
        if (!store.use(prepaid.id(), order, booking, amount, "", clock.instant())) {
            throw new IllegalStateException("there is not so much left of " + prepaid.id());
        }
    }

    /** Puts money back onto a voucher. */
    public void giveBack(String voucher, long order, Money amount, String why) {
        if (!store.use(voucher, order, null, -amount.minor(), why, clock.instant())) {
            throw new IllegalStateException("more is to go back onto " + voucher + " than was taken of it");
        }
    }

    /** The pass that pays for a booking; empty where none does. */
    public Optional<Prepaid> passOf(BookingId booking) {
        return store.visitsOf(booking).flatMap(v -> store.byId(v.pass()));
    }

    /** Gives a booking's visits back to their pass; nothing where there are none. */
    public void giveVisitsBack(BookingId booking, long order, String why) {
        store.visitsOf(booking).ifPresent(v -> store.use(v.pass(), order, booking, -v.count(), why, clock.instant()));
    }

    /**
     * Takes back what was sold and not used.
     *
     * @return false where something of it was used, or it was taken back before
     */
    public boolean takeBack(Goods goods, long order, String why) {
        if (goods.isWare() && goods.sold() && !goods.returned()) {
            store.returned(goods.id());
            return true;
        }
        if (goods.returned() || goods.prepaid() == null) {
            return false;
        }
        Prepaid prepaid = byId(goods.prepaid());
        boolean whole = prepaid.rest() == prepaid.worth()
                && store.use(prepaid.id(), order, null, prepaid.worth(), why, clock.instant());
        if (whole) {
            store.returned(goods.id());
        }
        return whole;
    }
}
