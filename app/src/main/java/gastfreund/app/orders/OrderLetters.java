package gastfreund.app.orders;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.hosts.HostService;
import gastfreund.app.house.Address;
import gastfreund.app.house.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.payments.Payment;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What guests and the house are told about orders. Every message goes into the outbox of the current transaction. */
@Component
class OrderLetters {

    private final CatalogueService catalogues;
    private final Speech speech;
    private final OrderPages pages;
    private final LetterWriter writer;
    private final Outbox outbox;
    private final HostService hosts;
    private final Address address;
    private final Clock clock;

    OrderLetters(
            CatalogueService catalogues,
            Speech speech,
            OrderPages pages,
            LetterWriter writer,
            Outbox outbox,
            HostService hosts,
            Address address,
            Clock clock) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.pages = pages;
        this.writer = writer;
        this.outbox = outbox;
        this.hosts = hosts;
        this.address = address;
        this.clock = clock;
    }

    /** The bookings stand. */
    void confirmed(Order order, List<Payment> payments) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f);
        model.put("paid", OrderService.paid(payments));
        String subject = order.standing().size() == 1
                ? f.text(
                        "letter.confirmation.subject",
                        catalogues.catalogue().offer(order.standing().get(0).offer()).title(),
                        f.dayAndTimes(order.standing().get(0).time()))
                : f.text("letter.confirmation.subjects", order.standing().size(), catalogues.catalogue().house().name());
        put(order, "confirmation", order.contact().email(), subject, model, f.locale(), calendar(order));
        Formats english = speech.in(Locale.ENGLISH, catalogues.catalogue());
        Map<String, Object> toHost = model(order, english);
        toHost.put("paid", OrderService.paid(payments));
        for (String host : hosts.addresses()) {
            String line = english.text("letter.host.subject", order.contact().name(), Long.toString(order.number()));
            put(order, "host", host, line, toHost, english.locale(), calendar(order));
        }
    }

    /** Money came when every place was gone; it goes back. */
    void tooLate(Order order, Money back) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f);
        model.put("back", back);
        String subject = f.text("letter.too-late.subject", f.money(back));
        put(order, "too-late", order.contact().email(), subject, model, f.locale(), null);
    }

    private void put(
            Order order,
            String kind,
            String recipient,
            String subject,
            Map<String, Object> model,
            Locale locale,
            String calendar) {
        LetterWriter.Parts parts = writer.write(kind, locale, model);
        outbox.put(new Letter(order.id(), kind, recipient, subject, parts.text(), parts.html(), calendar));
    }

    private Map<String, Object> model(Order order, Formats f) {
        Map<String, Object> model = new HashMap<>();
        model.put("order", order);
        model.put("rows", pages.rows(order.standing(), f));
        model.put("lost", pages.rows(order.lost(), f));
        model.put("f", f);
        model.put("houseName", catalogues.catalogue().house().name());
        model.put("page", address.of("/bookings/" + order.token()));
        model.put("desk", address.of("/desk/orders/" + order.number()));
        return model;
    }

    /** The standing bookings of an order as a calendar file. */
    String calendar(Order order) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = speech.in(order.locale(), catalogue);
        List<CalendarFile.Event> events = pages.rows(order.standing(), f).stream()
                .map(row -> new CalendarFile.Event(
                        row.line().booking().value(),
                        row.line().time(),
                        row.offer().title() + " · " + catalogue.house().name(),
                        row.place() == null ? "" : row.place().name(),
                        row.directions().isEmpty() ? row.offer().title() : row.directions(),
                        address.of("/bookings/" + order.token())))
                .toList();
        return CalendarFile.of(events, clock.instant());
    }
}
