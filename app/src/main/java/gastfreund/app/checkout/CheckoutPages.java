package gastfreund.app.checkout;

import gastfreund.app.baskets.BasketLine;
import gastfreund.app.baskets.BasketService;
import gastfreund.app.baskets.Bill;
import gastfreund.app.baskets.Holds;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.CancelLadder;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Rung;
import gastfreund.app.paying.OrderPayments;
import gastfreund.app.payments.Gateway;
import gastfreund.app.strangers.Doorkeeper;
import gastfreund.app.visits.Visits;
import gastfreund.core.money.Money;
import gastfreund.core.offers.Offer;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes what the checkout's page shows. */
@Component
class CheckoutPages {

    private final OrderPayments paying;
    private final BasketService baskets;
    private final Holds holds;
    private final CatalogueService catalogues;
    private final Doorkeeper doorkeeper;
    private final Clock clock;

    CheckoutPages(
            OrderPayments paying,
            BasketService baskets,
            Holds holds,
            CatalogueService catalogues,
            Doorkeeper doorkeeper,
            Clock clock) {
        this.paying = paying;
        this.baskets = baskets;
        this.holds = holds;
        this.catalogues = catalogues;
        this.doorkeeper = doorkeeper;
        this.clock = clock;
    }

    /**
     * @param way the way to pay that was chosen; null: none
     * @param seal what the form carries
     * @param access to an account; null: the house has none
     */
    CheckoutPage page(
            Links links,
            List<BasketLine> lines,
            GuestFields fields,
            @Nullable String way,
            String seal,
            CheckoutPage.@Nullable Access access,
            List<Note> notes,
            Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        Bill bill = baskets.bill(links.basketAsked(), lines);
        List<Gateway> ways = bill.dueNow().isZero() ? List.of() : paying.ways(lines, bill);
        List<Offer> offers = lines.stream()
                .map(l -> BasketService.priced(l, catalogue).offer())
                .toList();
        boolean asks = !offers.isEmpty() && offers.stream().allMatch(o -> o.confirm() == Offer.Confirm.BY_HAND);
        return new CheckoutPage(
                notes,
                fields,
                terms(lines, offers, bill, catalogue, now, f),
                ways.size() > 1 ? wayField(ways, way, f) : null,
                bill.dueNow().isPositive() && ways.isEmpty(),
                seal,
                doorkeeper.bits(),
                bill.mark(),
                go(bill, asks, lines.isEmpty(), f),
                help(bill, asks, lines, catalogue, f),
                rows(lines, offers, bill, catalogue, f),
                bill.goods().stream()
                        .map(g -> Rung.of(g.called(), f.money(g.price())))
                        .toList(),
                bill.rungs(f),
                !lines.isEmpty() && holds.canExtend(links.basketAsked()),
                access,
                WhereController.address(links));
    }

    /** What cancelling each of them would cost; of what a pass pays and what has no price yet until when it is free. */
    private static List<CheckoutPage.Term> terms(
            List<BasketLine> lines, List<Offer> offers, Bill bill, Catalogue catalogue, Instant now, Formats f) {
        List<CheckoutPage.Term> terms = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Offer offer = offers.get(i);
            Quote.QuotedLine quoted = bill.quote().lines().get(i);
            Instant start = lines.get(i).time().startInstant();
            boolean priced = quoted.covered().isZero()
                    && !catalogue.isAgreed(lines.get(i).offer());
            CancelLadder ladder = priced
                    ? CancelLadder.of(
                            new CancelLadder.Of(
                                    offer.terms(),
                                    quoted.total(),
                                    quoted.deposit(),
                                    Money.ZERO,
                                    quoted.dueNow(),
                                    rest(quoted, offer, catalogue),
                                    start),
                            now,
                            f)
                    : new CancelLadder(List.of());
            String words = offer.terms()
                    .freeUntil(start)
                    .filter(now::isBefore)
                    .map(until -> f.text("checkout.freeUntil", f.moment(until)))
                    .orElseGet(() -> f.text("checkout.notFree"));
            String title = lines.size() == 1
                    ? ""
                    : offer.title() + ", " + f.dayAndTimes(lines.get(i).time());
            terms.add(new CheckoutPage.Term(title, ladder.steps().isEmpty() ? words : "", ladder));
        }
        return terms;
    }

    /** What of a line is to be paid later and before its day. */
    private static CancelLadder.@Nullable Rest rest(Quote.QuotedLine quoted, Offer offer, Catalogue catalogue) {
        LocalDate due = quoted.balanceDue();
        boolean before = offer.payment().balanceDaysBefore().isPresent()
                && quoted.balance().isPositive();
        return before && due != null
                ? new CancelLadder.Rest(CancelLadder.begins(due, catalogue.zone()), quoted.balance())
                : null;
    }

    /** @param chosen null: the first is proposed */
    private static Field wayField(List<Gateway> ways, @Nullable String chosen, Formats f) {
        List<Field.Option> options = ways.stream()
                .map(way -> new Field.Option(
                        way.name(),
                        capital(f.text("gateway." + way.name()), f),
                        way.authorises()
                                ? ""
                                : f.text("checkout.transferHelp", way.account().key("days"))))
                .toList();
        return Field.choice("way", f.text("checkout.way"), options)
                .value(chosen == null ? ways.get(0).name() : chosen);
    }

    private static String capital(String words, Formats f) {
        return words.substring(0, 1).toUpperCase(f.locale()) + words.substring(1);
    }

    private static String go(Bill bill, boolean asks, boolean onlyGoods, Formats f) {
        if (bill.dueNow().isPositive()) {
            String pays = asks ? "checkout.askAndPay" : onlyGoods ? "checkout.buyAndPay" : "checkout.bookAndPay";
            return f.text(pays, f.money(bill.dueNow()));
        }
        return f.text(asks ? "checkout.ask" : onlyGoods ? "checkout.buy" : "checkout.book");
    }

    private static List<String> help(Bill bill, boolean asks, List<BasketLine> lines, Catalogue catalogue, Formats f) {
        List<String> help = new ArrayList<>();
        if (lines.stream().anyMatch(l -> Visits.isUnmeasured(l.visit(), catalogue))) {
            help.add(f.text("checkout.unmeasured"));
        }
        if (catalogue.checkout().confirmByMail() && bill.due().isZero()) {
            help.add(f.text("checkout.provesHelp"));
        }
        if (bill.dueNow().isPositive()) {
            help.add(f.text(asks ? "checkout.askHelp" : "checkout.payHelp"));
        }
        return help;
    }

    private static List<CheckoutPage.Row> rows(
            List<BasketLine> lines, List<Offer> offers, Bill bill, Catalogue catalogue, Formats f) {
        List<CheckoutPage.Row> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            BasketLine line = lines.get(i);
            Quote.QuotedLine quoted = bill.quote().lines().get(i);
            rows.add(new CheckoutPage.Row(
                    offers.get(i).title(),
                    f.dayAndTimes(line.time()),
                    catalogue.elsewhere(line.place(), line.time()),
                    f.text("offer.people", line.party()),
                    where(line, catalogue, f),
                    line.expires(),
                    catalogue.isAgreed(line.offer()) ? f.text("price.agreed") : f.money(quoted.total()),
                    quoted.covered().isPositive()));
        }
        return rows;
    }

    /** Where the guest is visited and what the way costs, in lines; empty: they are not. */
    private static String where(BasketLine line, Catalogue catalogue, Formats f) {
        if (line.visit() == null || !Visits.isVisit(line.place(), catalogue)) {
            return "";
        }
        Money way = Visits.price(line.visit(), catalogue);
        String words = Visits.words(line.visit(), catalogue, f);
        return way.isPositive() ? words + "\n" + f.text("where.way", f.money(way)) : words;
    }
}
