package gastfreund.app.orderdesk;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.endings.Attendance;
import gastfreund.app.endings.Endings;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.orders.OrderStatus;
import gastfreund.app.pages.Field;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import gastfreund.core.terms.Terms;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What a host may decide about an order, its bookings, and what it buys: by their rights, and by how things stand. */
@Component
class Decisions {

    private static final int MOST_REASON = 500;

    private final Endings endings;
    private final Attendance attendance;
    private final CatalogueService catalogues;

    Decisions(Endings endings, Attendance attendance, CatalogueService catalogues) {
        this.catalogues = catalogues;
        this.endings = endings;
        this.attendance = attendance;
    }

    /** @param typed what the host wrote that could not be done */
    List<Decision> about(Order order, OrderLine line, Host host, Typed typed, Formats f) {
        String at = "/desk/orders/" + order.number() + "/bookings/" + line.booking();
        boolean asks = line.status() == BookingStatus.REQUESTED;
        List<Decision> decisions = new ArrayList<>();
        if (asks && host.may(Right.ANSWER)) {
            decisions.add(
                    catalogues.catalogue().isAgreed(line.offer())
                                    && line.total().isZero()
                            ? Decision.asking(
                                    at + "/accept-for",
                                    f.text("desk.acceptAgreed"),
                                    f.text("desk.accept"),
                                    f.text("desk.acceptAgreedHelp"),
                                    amount("agreed", line, f.text("desk.agreedPrice"), Money.ZERO, typed, f))
                            : Decision.atOnce(
                                    at + "/accept",
                                    line.dueNow().isPositive()
                                            ? f.text("desk.acceptFor", f.money(line.dueNow()))
                                            : f.text("desk.accept"),
                                    true));
            decisions.add(Decision.asking(
                    at + "/decline",
                    f.text("desk.decline"),
                    f.text("desk.declineGo"),
                    "",
                    why("why-no-" + line.booking(), "", f).label(f.text("desk.whyGuest"))));
        }
        if (!asks && line.unpaid().isPositive() && host.may(Right.TAKE_MONEY)) {
            decisions.add(Decision.asking(
                    at + "/paid",
                    f.text("desk.onTheSpot"),
                    f.text("desk.onTheSpotGo"),
                    "",
                    Field.hidden("seen", Long.toString(line.paid().minor())),
                    amount("paid", line, f.text("desk.amount"), line.unpaid(), typed, f)));
        }
        if (line.paid().isPositive() && host.may(Right.GIVE_MONEY)) {
            decisions.add(Decision.asking(
                    at + "/refund",
                    f.text("desk.refund"),
                    f.text("desk.refundGo"),
                    "",
                    Field.hidden("seen", Long.toString(line.paid().minor())),
                    amount("refunded", line, f.text("desk.refundAmount", f.money(line.paid())), line.paid(), typed, f),
                    why("refunded", line, typed, f)));
        }
        if (line.canBeCancelled() && host.may(Right.MOVE)) {
            decisions.add(Decision.leading(at + "/move", f.text("move.title")));
        }
        if (attendance.canBeMissed(line) && host.may(Right.GIVE_MONEY)) {
            String back = f.text("desk.missedHelp", f.money(attendance.backAfterNoShow(line)));
            decisions.add(Decision.asking(at + "/missed", f.text("desk.missed"), f.text("desk.missedGo"), back));
        }
        if (line.status() == BookingStatus.CONFIRMED && host.may(Right.GIVE_MONEY)) {
            decisions.add(cancel(at, line, typed, f));
        }
        return decisions;
    }

    private Decision cancel(String at, OrderLine line, Typed typed, Formats f) {
        Terms.Outcome outcome = endings.byTheTerms(line);
        boolean wrong = typed.into("cancelled", line.booking());
        return Decision.asking(
                at + "/cancel",
                f.text("desk.cancel"),
                f.text("desk.cancelGo"),
                f.text("desk.byTheTerms", f.money(outcome.refund()), f.money(line.paid())),
                amount("cancelled", line, f.text("desk.amountBack"), outcome.refund(), typed, f),
                why("cancelled", line, typed, f).label(f.text("desk.whyGuest")),
                Field.tick("tell", f.text("desk.tell"), !wrong || typed.tell()).id("tell-" + line.booking()));
    }

    private static Field amount(String form, OrderLine line, String label, Money proposed, Typed typed, Formats f) {
        Field field = Field.amount("amount", label).id(form + "-" + line.booking());
        return typed.into(form, line.booking())
                ? field.value(typed.amount()).wrong(f.text(typed.problem())).with("autofocus", "autofocus")
                : field.value(f.field(proposed));
    }

    private static Field why(String form, OrderLine line, Typed typed, Formats f) {
        String written = typed.into(form, line.booking()) ? typed.why() : "";
        return why("why-" + form + "-" + line.booking(), written, f);
    }

    private static Field why(String id, String written, Formats f) {
        return Field.line("why", f.text("desk.why"), MOST_REASON).id(id).value(written);
    }

    /** About a voucher or a pass of which nothing was used, or a ware. */
    List<Decision> about(Order order, OrderRows.Bought bought, Host host, Formats f) {
        Prepaid prepaid = bought.prepaid();
        boolean whole = prepaid == null ? bought.goods().sold() : prepaid.rest() == prepaid.worth();
        boolean unused = whole && !bought.goods().returned();
        if (!unused || !host.may(Right.GIVE_MONEY)) {
            return List.of();
        }
        String action =
                "/desk/orders/" + order.number() + "/goods/" + bought.goods().id() + "/return";
        return List.of(Decision.atOnce(
                action, f.text("desk.takeBack", f.money(bought.goods().price())), false));
    }

    /** About an order that waits for its money. */
    List<Decision> about(Order order, Host host, Formats f) {
        if (order.status() != OrderStatus.WAITING || !host.may(Right.GIVE_MONEY)) {
            return List.of();
        }
        return List.of(Decision.asking(
                "/desk/orders/" + order.number() + "/release",
                f.text("desk.callOff"),
                f.text("desk.callOffGo"),
                f.text("desk.callOffHelp")));
    }
}
