package gastfreund.app.baskets;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.openings.Choice;
import gastfreund.app.openings.PanelService;
import gastfreund.app.pages.Address;
import gastfreund.app.pages.Links;
import gastfreund.app.pages.Note;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.offers.Offer;
import gastfreund.core.offers.Payment;
import gastfreund.core.offers.Staff;
import gastfreund.core.orders.PromoCode;
import gastfreund.core.orders.Quote;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Makes what the basket's page shows. */
@Component
class BasketPages {

    private final BasketService baskets;
    private final CatalogueService catalogues;
    private final PanelService panels;
    private final Holds holds;
    private final Address address;
    private final Clock clock;

    BasketPages(
            BasketService baskets,
            CatalogueService catalogues,
            PanelService panels,
            Holds holds,
            Address address,
            Clock clock) {
        this.holds = holds;
        this.baskets = baskets;
        this.catalogues = catalogues;
        this.panels = panels;
        this.address = address;
        this.clock = clock;
    }

    /**
     * @param said what the address says of what was just done
     * @param changed the line that was just changed; null: none
     */
    BasketPage page(Links links, Map<String, String> said, @Nullable String changed, Formats f) {
        String token = links.basketAsked();
        Instant now = clock.instant();
        List<BasketLine> lines = baskets.lines(token);
        List<BasketLine> held = lines.stream().filter(l -> l.isHeld(now)).toList();
        Bill bill = baskets.bill(token, held);
        List<BasketPage.Row> rows = new ArrayList<>();
        for (BasketLine line : lines) {
            int index = held.indexOf(line);
            Quote.QuotedLine quoted = index < 0 ? null : bill.quote().lines().get(index);
            rows.add(row(links, line, quoted, line.id().value().equals(changed), f));
        }
        boolean expired = held.size() < lines.size();
        return new BasketPage(
                notes(said, f),
                List.copyOf(rows),
                bill.goods().stream()
                        .map(g -> new BasketPage.Good(
                                g.called(),
                                g.recipient(),
                                f.text(g.isWare() ? "basket.notPaid" : "prepaid.comesByMail"),
                                f.money(g.price()),
                                links.basketPage() + "/goods/" + g.id() + "/release"))
                        .toList(),
                bill.rungs(f),
                code(baskets.promoCode(token), bill.quote().promo(), f),
                bill.entered().stream().map(e -> entered(links, e, f)).toList(),
                address.of("/basket/" + token),
                !expired && (!held.isEmpty() || !bill.goods().isEmpty()),
                expired,
                !held.isEmpty() && holds.canExtend(token) ? links.basketPage() + "/longer" : "");
    }

    private static List<Note> notes(Map<String, String> said, Formats f) {
        List<Note> notes = new ArrayList<>();
        if (said.containsKey("released")) {
            notes.add(Note.done(f.text("basket.released")));
        }
        if (said.containsKey("longer")) {
            notes.add(Note.done(f.text("basket.longerDone")));
        }
        if (said.containsKey("full")) {
            notes.add(Note.warn(f.text("basket.full")));
        }
        if (said.containsKey("soldOut")) {
            notes.add(Note.warn(f.text("basket.soldOut")));
        }
        if (said.containsKey("lost")) {
            notes.add(Note.warn(f.text("basket.lost")));
        }
        return List.copyOf(notes);
    }

    private BasketPage.Row row(
            Links links, BasketLine line, Quote.@Nullable QuotedLine quoted, boolean changed, Formats f) {
        String token = links.basketAsked();
        Catalogue catalogue = catalogues.catalogue();
        Offer offer = catalogue.offer(line.offer());
        Choice choice = Choice.again(offer, line.party(), line.length(), line.units(), line.addOns(), line.place());
        return new BasketPage.Row(
                line.id().value(),
                links.basketPage() + "/lines/" + line.id(),
                offer.title(),
                f.dayAndTimes(line.time()),
                facts(line, offer, catalogue, f),
                quoted == null ? null : kept(links, line, offer, choice, quoted, changed, f),
                catalogue.elsewhere(line.place(), line.time()),
                quoted == null ? baskets.nearest(line) : List.of(),
                choice.keepAddress(token));
    }

    private static List<String> facts(BasketLine line, Offer offer, Catalogue catalogue, Formats f) {
        List<String> facts = new ArrayList<>();
        facts.add(f.text("offer.people", line.party()));
        line.staff().stream().map(catalogue.house()::staff).map(Staff::name).forEach(facts::add);
        if (line.place() != null) {
            facts.add(catalogue.house().place(line.place()).name());
        }
        String addOns = Quantities.named(offer.addOns(), line.addOns());
        if (!addOns.isEmpty()) {
            facts.add(addOns);
        }
        return List.copyOf(facts);
    }

    private BasketPage.Kept kept(
            Links links,
            BasketLine line,
            Offer offer,
            Choice choice,
            Quote.QuotedLine quoted,
            boolean changed,
            Formats f) {
        Choice changing = choice.changing(line.changing(links));
        boolean chooses = offer.payment().when() == Payment.When.CHOICE;
        return new BasketPage.Kept(
                line.expires(),
                catalogues.catalogue().isAgreed(offer.id()) ? f.text("price.agreed") : f.money(quoted.total()),
                quoted.covered().isPositive(),
                chooses ? line.pay() == Quote.Pay.NOW : null,
                panels.chips(changing, links.basket()),
                offer,
                line.time().start(),
                changed,
                changing.withDay(f.zone().dateOf(line.time().start())).address(links.basket()));
    }

    private static BasketPage.Code code(String written, PromoCode.Outcome state, Formats f) {
        return state == PromoCode.Outcome.NONE
                ? new BasketPage.Code(written, "", false)
                : new BasketPage.Code(written, f.text("promo." + state.code()), state != PromoCode.Outcome.APPLIED);
    }

    private static BasketPage.Entered entered(Links links, Bill.Entered entered, Formats f) {
        Prepaid one = entered.prepaid();
        String worth = one.isVoucher()
                ? f.text("prepaid.money", f.money(one.money()))
                : f.text("prepaid.visitsNow", one.rest(), entered.visits());
        return new BasketPage.Entered(
                one.title(),
                one.masked(),
                worth,
                entered.isUsed(),
                links.basketPage() + "/prepaid/" + one.id() + "/leave");
    }
}
