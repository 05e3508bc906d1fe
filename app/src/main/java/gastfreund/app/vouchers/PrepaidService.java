package gastfreund.app.vouchers;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.PrepaidOffer;
import gastfreund.app.secrets.Tokens;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.money.Money;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Sells, issues and uses vouchers and passes. Whatever changes one belongs into the transaction that causes it, which has
 * the write lock from its beginning: what was read as left is still left when it is taken.
 */
@Service
public class PrepaidService {

    /** No letters and digits that are taken for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int MOST_TYPED = 100;
    private static final Pattern BETWEEN = Pattern.compile("[^A-Z0-9]++");
    private static final Pattern GROUP = Pattern.compile(".{4}(?=.)");
    private static final int GROUPS = 3;
    private static final int LETTERS_OF_A_GROUP = 4;

    private final PrepaidStore store;
    private final CatalogueService catalogues;
    private final Tokens tokens;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

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
                        offer.isPass() ? Prepaid.Kind.PASS : Prepaid.Kind.VOUCHER,
                        offer.title(),
                        price,
                        offer.isPass() ? offer.visits() : price.minor(),
                        offer.offers(),
                        offer.taxRate(),
                        offer.months(),
                        recipient,
                        greeting,
                        null,
                        false));
    }

    public boolean remove(String basket, String goods) {
        return store.removeGoods(basket, goods);
    }

    /** What a basket was about to buy belongs to an order now. */
    public void order(String basket, long order) {
        store.order(basket, order);
    }

    /** Issues what was paid for. */
    public Prepaid issue(Goods goods) {
        LocalDate lastDay = today().plusMonths(goods.months());
        Prepaid prepaid = new Prepaid(
                tokens.next(),
                goods.kind(),
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
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < GROUPS * LETTERS_OF_A_GROUP; i++) {
            code.append(i > 0 && i % LETTERS_OF_A_GROUP == 0 ? "-" : "")
                    .append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return code.toString();
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
