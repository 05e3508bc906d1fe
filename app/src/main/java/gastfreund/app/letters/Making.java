package gastfreund.app.letters;

import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.money.Money;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Puts the facts of a letter about an order together. */
final class Making {

    private final Order order;
    private final List<OrderLine> lines;
    private final Function<List<OrderLine>, List<OrderRows.Row>> rows;
    private final Supplier<List<OrderRows.Bought>> goods;
    private List<OrderLine> asked = List.of();
    private List<OrderLine> certain = List.of();
    private List<Prepaid> issued = List.of();
    private List<Goods> wares = List.of();
    private Money back = Money.ZERO;
    private Facts.@Nullable Transfer transfer;
    private String prove = "";
    private @Nullable String letter;
    private String reason = "";
    private String token;

    Making(
            Order order,
            List<OrderLine> lines,
            Function<List<OrderLine>, List<OrderRows.Row>> rows,
            Supplier<List<OrderRows.Bought>> goods) {
        this.order = order;
        this.lines = lines;
        this.rows = rows;
        this.goods = goods;
        this.token = order.token();
    }

    Making asked(List<OrderLine> waiting) {
        asked = waiting;
        return this;
    }

    /** @param dates what goes into a calendar */
    Making with(List<OrderLine> dates) {
        certain = dates;
        return this;
    }

    /** @param money what goes back; null where money is not spoken of */
    Making back(@Nullable Money money) {
        back = money == null ? Money.ZERO : money;
        return this;
    }

    Making issued(List<Prepaid> prepaid, List<Goods> paidFor) {
        issued = prepaid;
        wares = paidFor;
        return this;
    }

    Making transfer(Facts.Transfer awaited) {
        transfer = awaited;
        return this;
    }

    Making prove(String path) {
        prove = path;
        return this;
    }

    /** @param id of a letter that goes before or after a booking */
    Making timed(String id) {
        letter = id;
        return this;
    }

    Making reason(String words) {
        reason = words;
        return this;
    }

    /** For somebody who may not see the order. */
    Making withoutToken() {
        token = "";
        return this;
    }

    Facts facts() {
        return new Facts(
                order.number(),
                token,
                order.contact().name(),
                order.contact().email(),
                order.contact().phone(),
                what(),
                kept(lines),
                kept(asked),
                kept(order.lost()),
                lines.stream().noneMatch(OrderLine::stands),
                kept(certain),
                order.paid().minor(),
                order.open().minor(),
                order.later().minor(),
                back.minor(),
                Stream.concat(issued.stream().map(Making::kept), wares.stream().map(Making::kept))
                        .toList(),
                transfer,
                prove,
                letter,
                reason,
                null,
                null);
    }

    /** What it is about; without bookings, what else the order buys. */
    private String what() {
        if (!lines.isEmpty()) {
            return lines.get(0).sold().title();
        }
        List<OrderRows.Bought> bought = goods.get();
        return bought.isEmpty() ? "" : bought.get(0).goods().title();
    }

    private List<Facts.Row> kept(List<OrderLine> of) {
        return rows.apply(of).stream().map(Making::kept).toList();
    }

    private static Facts.Row kept(OrderRows.Row row) {
        OrderLine line = row.line();
        LocalDate due = line.balance().isPositive() ? line.balanceDue() : null;
        Instant free = row.freeUntil();
        return new Facts.Row(
                line.booking().value(),
                row.title(),
                line.time().start(),
                line.time().end(),
                line.party(),
                row.staff(),
                row.place(),
                row.directions(),
                row.addOns(),
                line.total().minor(),
                line.balance().minor(),
                due == null ? null : due.toString(),
                free == null ? null : free.getEpochSecond(),
                line.offer().value(),
                row.answers().stream()
                        .filter(a -> !a.value().isEmpty())
                        .map(a -> a.label() + ": " + a.value().replace('\n', ','))
                        .collect(Collectors.joining("\n")),
                row.elsewhere() != null);
    }

    private static Facts.Issued kept(Goods ware) {
        return new Facts.Issued(ware.called(), "", false, ware.price().minor(), ware.handover());
    }

    private static Facts.Issued kept(Prepaid prepaid) {
        return new Facts.Issued(
                prepaid.title(),
                prepaid.code(),
                prepaid.isVoucher(),
                prepaid.worth(),
                prepaid.lastDay().toString());
    }
}
