package gastfreund.app.orders;

import gastfreund.app.bookings.Quantities;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.languages.Formats;
import gastfreund.app.meetings.Meetings;
import gastfreund.app.openings.CancelLadder;
import gastfreund.app.openings.TermsInWords;
import gastfreund.app.visits.Visits;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.vouchers.PrepaidService;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.orders.Sold;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lines of orders as pages and messages show them. */
@Component
public class OrderRows {

    /**
     * A line with the words that go with it.
     *
     * @param title of what was sold
     * @param staff names of those who serve
     * @param place its name; empty where the offer has none
     * @param addOns what is added, in words; empty: nothing
     * @param directions empty where the place needs none
     * @param answers to the offer's questions
     * @param terms as sentences
     * @param agreed whether its price is still to be named
     * @param elsewhere its time, where its guest can be anywhere; null: they are there
     * @param freeUntil until when cancelling costs nothing; null where that is over or never was
     * @param ladder what cancelling would cost; null where that is not a matter of money, or of nothing any more
     */
    public record Row(
            OrderLine line,
            String title,
            List<String> staff,
            String place,
            String addOns,
            String directions,
            List<GivenAnswer> answers,
            List<String> terms,
            @Nullable Instant freeUntil,
            @Nullable CancelLadder ladder,
            boolean agreed,
            @Nullable Interval elsewhere) {}

    /**
     * A voucher or a pass of an order.
     *
     * @param prepaid null before the money has come
     */
    public record Bought(Goods goods, @Nullable Prepaid prepaid) {}

    private final CatalogueService catalogues;
    private final AnswerStore answers;
    private final PrepaidService prepaid;
    private final Meetings meetings;
    private final Visits visits;
    private final Clock clock;

    OrderRows(
            CatalogueService catalogues,
            AnswerStore answers,
            PrepaidService prepaid,
            Meetings meetings,
            Visits visits,
            Clock clock) {
        this.meetings = meetings;
        this.visits = visits;
        this.prepaid = prepaid;
        this.answers = answers;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    public List<Row> rows(List<OrderLine> lines, Formats f) {
        Catalogue catalogue = catalogues.catalogue();
        return lines.stream().map(line -> row(line, catalogue, f)).toList();
    }

    /** The vouchers and passes of an order. */
    public List<Bought> goods(Order order) {
        return prepaid.goodsOfOrder(order.id()).stream()
                .map(g -> new Bought(g, g.prepaid() == null ? null : prepaid.byId(g.prepaid())))
                .toList();
    }

    private Row row(OrderLine line, Catalogue catalogue, Formats f) {
        Sold sold = line.sold();
        return new Row(
                line,
                sold.title(),
                List.copyOf(sold.staff().values()),
                sold.place(),
                Quantities.named(sold.addOns(), line.addOns()),
                line.place() == null
                        ? ""
                        : catalogue
                                .placeNotes(line.place())
                                .booked(
                                        meetings.link(line.booking())
                                                .orElseGet(() -> visits.words(line.booking(), catalogue, f)),
                                        f.words()),
                answers.of(line.booking()),
                TermsInWords.of(sold.terms(), f),
                freeUntil(line, clock.instant()),
                ladder(line, catalogue, f),
                line.status() == BookingStatus.REQUESTED && catalogue.isAgreed(line.offer()),
                catalogue.elsewhere(line.place(), line.time()));
    }

    private @Nullable CancelLadder ladder(OrderLine line, Catalogue catalogue, Formats f) {
        boolean matters =
                line.status() == BookingStatus.CONFIRMED && line.covered().isZero();
        if (!matters) {
            return null;
        }
        CancelLadder ladder = CancelLadder.of(
                new CancelLadder.Of(
                        line.sold().terms(),
                        line.total(),
                        line.deposit(),
                        line.floor(),
                        line.paid(),
                        rest(line, catalogue),
                        line.time().startInstant()),
                clock.instant(),
                f);
        return ladder.steps().isEmpty() ? null : ladder;
    }

    /** What is still to be paid before the day, on its own day. */
    private CancelLadder.@Nullable Rest rest(OrderLine line, Catalogue catalogue) {
        LocalDate due = line.balanceDue();
        boolean before = line.sold().payment().balanceDaysBefore().isPresent()
                && line.balance().isPositive()
                && line.unpaid().isPositive();
        return before && due != null && due.isAfter(catalogue.zone().dateOf(clock.instant()))
                ? new CancelLadder.Rest(CancelLadder.begins(due, catalogue.zone()), line.unpaid())
                : null;
    }

    /** What an earlier move has kept is kept whenever the guest cancels. */
    private static @Nullable Instant freeUntil(OrderLine line, Instant now) {
        boolean kept = line.floor().isPositive() || line.visitsKept();
        return kept
                ? null
                : line.sold()
                        .terms()
                        .freeUntil(line.time().startInstant())
                        .filter(now::isBefore)
                        .orElse(null);
    }
}
