package gastfreund.app.webhooks;

import gastfreund.app.api.OrderJson;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.journal.Cause;
import gastfreund.app.journal.JournalEntry;
import gastfreund.app.journal.JournalStore;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.Orders;
import gastfreund.app.payments.Payment;
import gastfreund.app.payments.PaymentService;
import gastfreund.app.secrets.Tokens;
import gastfreund.app.typed.GivenDate;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.time.HouseZone;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes messages of what has happened. The journal, which every step is written into in the transaction that takes it, says
 * so: nothing that happened is not told, and nothing is told that did not happen.
 */
@Component
class Telling {

    private static final Logger LOG = LoggerFactory.getLogger(Telling.class);
    private static final int MOST = 200;
    private static final int DATE = "2027-01-31".length();

    /** So long messages are kept. */
    private static final Duration KEPT = Duration.ofDays(30);

    private final WebhookStore webhooks;
    private final DeliveryStore deliveries;
    private final JournalStore steps;
    private final Orders orders;
    private final PaymentService payments;
    private final CatalogueService catalogues;
    private final OrderJson json;
    private final Tokens tokens;
    private final Clock clock;

    Telling(
            WebhookStore webhooks,
            DeliveryStore deliveries,
            JournalStore steps,
            Orders orders,
            PaymentService payments,
            CatalogueService catalogues,
            OrderJson json,
            Tokens tokens,
            Clock clock) {
        this.webhooks = webhooks;
        this.deliveries = deliveries;
        this.steps = steps;
        this.orders = orders;
        this.payments = payments;
        this.catalogues = catalogues;
        this.json = json;
        this.tokens = tokens;
        this.clock = clock;
    }

    /** Makes messages of all that has happened since, where somebody listens. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.webhooks:2s}")
    @Transactional
    public void tell() {
        List<Webhook> listening = webhooks.all();
        if (listening.isEmpty()) {
            return;
        }
        WebhookStore.Told told = webhooks.told();
        long change = webhooks.newest().change();
        List<JournalStore.Step> since = steps.after(told.step(), MOST);
        if (since.isEmpty() && change == told.change()) {
            return;
        }
        Set<LocalDate> dates = new TreeSet<>();
        for (JournalStore.Step step : since) {
            try {
                tell(step, listening, dates);
            } catch (RuntimeException e) {
                // One that cannot be told keeps no other waiting.
                LOG.error("step {} of the journal cannot be told", step.id(), e);
            }
        }
        long last = since.isEmpty() ? told.step() : since.get(since.size() - 1).id();
        if (change > told.change() || !dates.isEmpty()) {
            openings(dates, change > told.change(), last + " " + change, listening);
        }
        webhooks.told(new WebhookStore.Told(last, change));
        deliveries.forgetBefore(clock.instant().minus(KEPT));
    }

    private void tell(JournalStore.Step step, List<Webhook> listening, Set<LocalDate> dates) {
        JournalEntry entry = step.entry();
        Order order = orders.byId(entry.order());
        switch (entry.about()) {
            case "booking" -> booking(step, order, listening, dates);
            case "order" -> order(step, order, listening);
            default -> payment(step, order, listening);
        }
    }

    private void booking(JournalStore.Step step, Order order, List<Webhook> listening, Set<LocalDate> dates) {
        JournalEntry entry = step.entry();
        Optional<OrderLine> line = order.line(new BookingId(entry.subject()));
        if (line.isEmpty()) {
            return;
        }
        boolean moved = Cause.MOVED.isOf(entry.why());
        Optional<What> what = moved
                ? Optional.of(What.BOOKING_MOVED)
                : entry.from().equals(entry.to()) ? Optional.empty() : What.find(entry.about(), entry.to());
        what.ifPresent(w -> {
            ObjectNode data = JsonNodeFactory.instance.objectNode();
            data.set("booking", json.booking(order, line.get()));
            message(w, Long.toString(step.id()), entry.at(), data, listening);
        });
        if (Cause.PAID_ON_THE_SPOT.isOf(entry.why()) || Cause.PAID_ELSEWHERE.isOf(entry.why())) {
            message(What.PAYMENT_RECEIVED, Long.toString(step.id()), entry.at(), summary(order), listening);
        }
        boolean stands = !entry.from().equals(entry.to()) && !entry.to().equals("held");
        if (stands && order.isPlaced()) {
            message(What.ORDER_PLACED, Long.toString(order.id()), entry.at(), summary(order), listening);
        }
        if (moved || stands && !entry.to().equals("completed") && !entry.to().equals("no-show")) {
            HouseZone zone = catalogues.plain().zone();
            dates.add(zone.dateOf(line.get().time().start()));
            dates.add(zone.dateOf(line.get().time().end() - 1));
            if (moved) {
                before(entry).ifPresent(dates::add);
            }
        }
    }

    /** The date from which a booking was moved: it stands in the journal behind the cause. */
    private static Optional<LocalDate> before(JournalEntry entry) {
        String words = Cause.words(entry.why());
        return GivenDate.of(words.substring(0, Math.min(words.length(), DATE)));
    }

    private void order(JournalStore.Step step, Order order, List<Webhook> listening) {
        JournalEntry entry = step.entry();
        if (Cause.PAID_ELSEWHERE.isOf(entry.why())) {
            message(What.PAYMENT_RECEIVED, Long.toString(step.id()), entry.at(), summary(order), listening);
        }
        if (!entry.from().equals(entry.to())) {
            What.find(entry.about(), entry.to())
                    .ifPresent(w -> message(w, Long.toString(order.id()), entry.at(), summary(order), listening));
        }
    }

    private void payment(JournalStore.Step step, Order order, List<Webhook> listening) {
        JournalEntry entry = step.entry();
        Optional<What> what =
                switch (entry.to()) {
                    case "captured" -> Optional.of(What.PAYMENT_RECEIVED);
                    case "refunded", "partly refunded" -> Optional.of(What.PAYMENT_REFUNDED);
                    default -> Optional.empty();
                };
        what.ifPresent(w -> {
            ObjectNode data = summary(order);
            payments.find(entry.subject()).ifPresent(p -> data.set("payment", paid(p)));
            message(w, Long.toString(step.id()), entry.at(), data, listening);
        });
    }

    private static ObjectNode paid(Payment payment) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("way", payment.gateway())
                .put("amount", payment.amount().minor())
                .put("captured", payment.captured().minor())
                .put("refunded", payment.refunded().minor());
    }

    /** An order without who booked: whoever may know that asks for it with a key. */
    private static ObjectNode summary(Order order) {
        ObjectNode data = JsonNodeFactory.instance.objectNode();
        data.putObject("order")
                .put("number", order.number())
                .put("status", order.status().code())
                .put("total", order.total().minor())
                .put("paid", order.paid().minor())
                .put("toPay", order.balance().minor());
        return data;
    }

    /** @param all whether the house itself was changed, so that any date may be different */
    private void openings(Set<LocalDate> dates, boolean all, String about, List<Webhook> listening) {
        ObjectNode data = JsonNodeFactory.instance.objectNode().put("allDates", all);
        dates.forEach(d -> data.withArray("dates").add(d.toString()));
        if (dates.isEmpty()) {
            data.putArray("dates");
        }
        message(What.OPENINGS_CHANGED, about, clock.instant(), data, listening);
    }

    /** Writes a message for all who hear of it; what was told before is not told again. */
    private void message(What what, String about, Instant at, ObjectNode data, List<Webhook> listening) {
        List<Webhook> who = listening.stream().filter(w -> w.hears(what)).toList();
        if (who.isEmpty()) {
            return;
        }
        String id = "msg_" + tokens.next();
        if (deliveries.write(id, what, what.code() + " " + about, body(what, at, data), clock.instant())) {
            who.forEach(w -> deliveries.send(id, w.id(), clock.instant()));
        }
    }

    static String body(What what, Instant at, ObjectNode data) {
        ObjectNode body = JsonNodeFactory.instance
                .objectNode()
                .put("type", what.code())
                .put("timestamp", at.truncatedTo(ChronoUnit.SECONDS).toString());
        body.set("data", data);
        return body.toString();
    }
}
