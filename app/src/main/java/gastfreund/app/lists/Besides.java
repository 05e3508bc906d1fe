package gastfreund.app.lists;

import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.orderdesk.Panel;
import gastfreund.app.orderdesk.Panels;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is looked at beside a list. */
@Component
class Besides {

    private final Panels panels;

    Besides(Panels panels) {
        this.panels = panels;
    }

    /**
     * An order, with one of its bookings.
     *
     * @param panel null where nothing is booked by it
     * @param others its other bookings, each looked at in its place
     */
    public record Beside(
            String order,
            String guest,
            String what,
            String when,
            String board,
            @Nullable Panel panel,
            List<Way> others) {}

    /**
     * @param booking which one; null: the first one that stands
     * @param list the address of the list with what is looked for
     * @param typed what the host wrote that could not be done; null: nothing
     */
    Beside of(Order order, @Nullable OrderLine booking, String list, Host host, @Nullable Object typed, Formats f) {
        String number = Long.toString(order.number());
        Optional<OrderLine> shown = Optional.ofNullable(booking)
                .or(() -> order.lines().stream().filter(OrderLine::stands).findFirst())
                .or(() -> order.lines().stream().findFirst());
        return shown.map(l -> new Beside(
                        number,
                        order.contact().name(),
                        l.sold().title(),
                        f.dayAndTimes(l.time()),
                        "/desk?day=" + f.zone().dateOf(l.time().start()) + "&booking=" + l.booking(),
                        panels.of(order, l, host, at(list, l), typed, f),
                        order.lines().stream()
                                .filter(o -> !o.equals(l))
                                .map(o -> new Way(at(list, o), o.sold().title() + ", " + f.dayAndTimes(o.time())))
                                .toList()))
                .orElseGet(() -> new Beside(number, order.contact().name(), "", "", "", null, List.of()));
    }

    private static String at(String list, OrderLine line) {
        return list + "&booking=" + line.booking();
    }
}
