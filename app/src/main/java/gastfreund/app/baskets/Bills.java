package gastfreund.app.baskets;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.money.ContainedTax;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.core.offers.Line;
import gastfreund.core.orders.Pass;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.orders.Quote;
import gastfreund.core.orders.Settlement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Works out what baskets cost: their bookings, what they buy in advance, and what vouchers and passes pay of it. */
@Component
class Bills {

    private final BasketStore store;
    private final CatalogueService catalogues;
    private final PrepaidService prepaid;
    private final Clock clock;

    Bills(BasketStore store, CatalogueService catalogues, PrepaidService prepaid, Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.prepaid = prepaid;
        this.clock = clock;
    }

    /** What a basket costs with these of its lines, and what pays for it. */
    Bill of(String basket, List<BasketLine> lines) {
        List<Prepaid> entered = prepaid.ofBasket(basket);
        List<Prepaid> usable =
                entered.stream().filter(p -> p.isUsable(prepaid.today())).toList();
        List<Prepaid> passes = usable.stream().filter(p -> !p.isVoucher()).toList();
        List<Prepaid> vouchers = usable.stream().filter(Prepaid::isVoucher).toList();
        Catalogue catalogue = catalogues.catalogue();
        List<Line> priced =
                lines.stream().map(l -> BasketService.priced(l, catalogue)).toList();
        List<OptionalInt> covered =
                Pass.cover(priced, passes.stream().map(Prepaid::pass).toList());
        List<Prepaid> covers = new ArrayList<>();
        covered.forEach(c -> covers.add(c.isPresent() ? passes.get(c.getAsInt()) : null));
        Quote quote = quote(basket, lines, covers);
        Settlement settlement = Settlement.of(
                quote.lines(), vouchers.stream().map(Prepaid::money).toList());
        List<Goods> goods = prepaid.goodsOfBasket(basket);
        return new Bill(
                quote,
                goods,
                covers,
                vouchers,
                settlement,
                entered.stream()
                        .map(p -> entered(p, priced, covers, vouchers, settlement))
                        .toList(),
                taxes(priced, quote, goods));
    }

    private static Bill.Entered entered(
            Prepaid one, List<Line> lines, List<Prepaid> covers, List<Prepaid> vouchers, Settlement settlement) {
        int voucher = vouchers.indexOf(one);
        int visits = 0;
        for (int i = 0; i < lines.size(); i++) {
            visits += one.equals(covers.get(i)) ? Pass.visitsOf(lines.get(i)) : 0;
        }
        return new Bill.Entered(one, voucher < 0 ? Money.ZERO : settlement.of(voucher), visits);
    }

    private static List<ContainedTax> taxes(List<Line> lines, Quote quote, List<Goods> goods) {
        List<Percent> rates = new ArrayList<>();
        List<Money> totals = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            rates.add(lines.get(i).offer().taxRate());
            totals.add(quote.lines().get(i).total());
        }
        for (Goods one : goods) {
            rates.add(one.taxRate());
            totals.add(one.price());
        }
        return ContainedTax.of(rates, totals);
    }

    /** @param covers for each line the pass that pays for its units; null where none does */
    private Quote quote(String basket, List<BasketLine> lines, List<Prepaid> covers) {
        Catalogue catalogue = catalogues.catalogue();
        List<Quote.Asked> asked = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            BasketLine line = lines.get(i);
            asked.add(new Quote.Asked(BasketService.priced(line, catalogue), line.pay(), covers.get(i) != null));
        }
        String code = PromoCode.normal(store.promoCode(basket));
        Map<String, PromoCode> codes = new HashMap<>(catalogue.promoCodes());
        codes.computeIfPresent(PromoCode.normal(code), (normal, promo) -> promo.usedAlso(store.usesOf(normal)));
        return Quote.of(asked, clock.instant(), catalogue.zone(), code, codes);
    }
}
