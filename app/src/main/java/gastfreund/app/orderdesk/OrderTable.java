package gastfreund.app.orderdesk;

import gastfreund.app.hosts.Needs;
import gastfreund.app.hosts.Right;
import gastfreund.app.languages.Formats;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Table;
import gastfreund.app.sources.Source;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Orders as a table: those that the list shows, and the older ones. */
@Controller
class OrderTable {

    private static final int MOST = 20_000;

    private static final List<String> COLUMNS =
            List.of("order", "placed", "guest", "mail", "telephone", "source", "state", "what", "total", "currency");

    private final Orders orders;

    OrderTable(Orders orders) {
        this.orders = orders;
    }

    /** @param from the source of those that are wanted; empty: all are */
    @Needs(Right.GUEST_DATA)
    @GetMapping("/desk/orders/orders.csv")
    ResponseEntity<String> table(@RequestParam(defaultValue = "") String from, Model model) {
        Formats f = Formats.of(model);
        String source = Source.of(from);
        List<Order> found = source.isEmpty() ? orders.newest(MOST) : orders.newestFrom(source, MOST);
        return Table.file(
                "orders.csv", COLUMNS, found.stream().map(o -> row(o, f)).toList());
    }

    private static List<String> row(Order order, Formats f) {
        return List.of(
                Long.toString(order.number()),
                moment(order.placed(), f),
                order.contact().name(),
                order.contact().email(),
                order.contact().phone(),
                order.source(),
                f.text("step." + order.status().code()),
                order.lines().stream().map(l -> line(l, f)).collect(Collectors.joining("; ")),
                f.decimal(order.total()),
                f.currencyCode());
    }

    private static String line(OrderLine line, Formats f) {
        return line.sold().title() + ", " + f.dayAndTimes(line.time()) + ", "
                + f.text("status." + line.status().code());
    }

    private static String moment(Instant instant, Formats f) {
        return instant.truncatedTo(ChronoUnit.SECONDS)
                .atZone(f.zone().id())
                .format(DateTimeFormatter.ISO_OFFSET_DATE_TIME);
    }
}
