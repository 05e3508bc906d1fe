package gastfreund.app.warming;

import gastfreund.app.feeds.Feeds;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.Orders;
import gastfreund.app.payments.Gateway;
import gastfreund.app.payments.GatewayException;
import gastfreund.app.payments.Gateways;
import gastfreund.app.storage.Reading;
import jakarta.validation.Validator;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What the first order after a start would be the first to need, done with one that stands: what its guest said is checked, its
 * letters are written, the house's calendar is, too, and gateways are asked whether they know the house. All of it is reading:
 * nothing is kept, and nothing goes out.
 */
@Component
class FirstOrder {

    private static final Logger LOG = LoggerFactory.getLogger(FirstOrder.class);

    private static final int LATELY = 20;

    private final Reading reading;
    private final Orders orders;
    private final Rehearsal letters;
    private final Feeds feeds;
    private final Gateways gateways;
    private final Validator validator;

    FirstOrder(Reading reading, Orders orders, Rehearsal letters, Feeds feeds, Gateways gateways, Validator validator) {
        this.reading = reading;
        this.orders = orders;
        this.letters = letters;
        this.feeds = feeds;
        this.gateways = gateways;
        this.validator = validator;
    }

    /** Asks gateways whether they know the house: the way to them is then open. */
    void askGateways() {
        gateways.offered().forEach(this::ask);
    }

    /** @return the path of the page of the order with which it was done; empty where the house has none that stands */
    Optional<String> rehearse() {
        return reading.of(this::rehearsed);
    }

    private Optional<String> rehearsed() {
        feeds.ofHouse();
        Optional<Order> order = orders.newest(LATELY).stream()
                .filter(o -> !o.certain().isEmpty())
                .findFirst();
        order.ifPresent(o -> {
            validator.validate(o.contact());
            letters.placed(o, o.certain().get(0));
        });
        return order.map(o -> "/bookings/" + o.token());
    }

    private void ask(Gateway gateway) {
        try {
            if (!gateway.knowsUs()) {
                LOG.warn("{} does not know the house's keys", gateway.name());
            }
        } catch (GatewayException e) {
            LOG.info("{} was asked after the start: {}", gateway.name(), e.getMessage());
        }
    }
}
