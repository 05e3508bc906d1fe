package gastfreund.app.letters;

import gastfreund.app.calendars.CalendarFile;
import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.pages.Address;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Payment;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What guests and the house are told about orders. Every message goes into the outbox of the current transaction. */
@Component
public class OrderLetters {

    private final CatalogueService catalogues;
    private final Speech speech;
    private final OrderRows pages;
    private final LetterWriter writer;
    private final Outbox outbox;
    private final HostService hosts;
    private final Address address;
    private final ProofKeys proofs;
    private final Clock clock;

    OrderLetters(
            CatalogueService catalogues,
            Speech speech,
            OrderRows pages,
            LetterWriter writer,
            Outbox outbox,
            HostService hosts,
            Address address,
            ProofKeys proofs,
            Clock clock) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.pages = pages;
        this.writer = writer;
        this.outbox = outbox;
        this.hosts = hosts;
        this.address = address;
        this.proofs = proofs;
        this.clock = clock;
    }

    /** The order was placed: its bookings stand, or wait for the host's yes. */
    public void placed(Order order) {
        List<OrderLine> standing = order.standing().stream()
                .filter(l -> l.status() != BookingStatus.REQUESTED)
                .toList();
        List<OrderLine> asked = order.standing().stream()
                .filter(l -> l.status() == BookingStatus.REQUESTED)
                .toList();
        if (standing.isEmpty()) {
            toGuest(order, "request", asked, "");
        } else {
            confirmed(order, standing, asked);
        }
        toHosts(order, asked.isEmpty() ? "host" : "host-request", order.standing());
    }

    /** The host said yes to a request. */
    public void accepted(Order order, OrderLine line) {
        confirmed(order, List.of(line), List.of());
    }

    private void confirmed(Order order, List<OrderLine> standing, List<OrderLine> asked) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f, standing);
        model.put("asked", pages.rows(asked, f));
        String subject = standing.size() == 1
                ? f.text(
                        "letter.confirmation.subject",
                        title(standing.get(0)),
                        f.dayAndTimes(standing.get(0).time()))
                : f.text(
                        "letter.confirmation.subjects",
                        standing.size(),
                        catalogues.catalogue().house().name());
        LetterWriter.Parts parts = writer.write("confirmation", f.locale(), model);
        toGuest(order, "confirmation", subject, parts, calendar(order));
    }

    /** A booking ended: by the guest or the host, declined, or because nobody answered. */
    public void ended(Order order, OrderLine line, String kind, @Nullable Money back, boolean tellGuest) {
        if (tellGuest) {
            toGuest(order, kind, List.of(line), back);
        }
        if (kind.equals("cancelled")) {
            toHosts(order, "host-cancelled", List.of(line));
        }
    }

    /** A booking was moved by its guest, or by the house. */
    public void moved(Order order, OrderLine line, Money back, boolean byGuest, boolean tell) {
        if (tell) {
            toGuest(order, byGuest ? "moved" : "moved-by-host", List.of(line), back);
        }
        if (byGuest) {
            toHosts(order, "host-moved", List.of(line));
        }
    }

    /** An order waits for a transfer. */
    public void transfer(Order order, Payment transfer, GatewayAccount account) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        String how = f.text(
                "letter.transfer.how",
                f.money(transfer.amount()),
                account.key("holder"),
                account.key("iban"),
                transfer.atGateway(),
                f.shortDay(f.zone().dateOf(transfer.awaitedUntil())));
        Map<String, Object> link = order.isToBeProven() && !order.standing().isEmpty()
                ? Map.of("second", f.text("letter.transfer.prove"), "secondTo", proofAddress(order))
                : Map.of();
        toGuest(order, "transfer", order.standing(), how, link);
    }

    /** Nothing is due now: the guest is asked whether the address is theirs, and the places are kept until then. */
    public void prove(Order order) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        toGuest(
                order,
                "prove",
                order.standing(),
                "",
                Map.of("button", f.text("letter.prove.button"), "buttonTo", proofAddress(order)));
    }

    private String proofAddress(Order order) {
        return address.inLetters("/bookings/" + order.token() + "/prove?key=" + proofs.keyOf(order));
    }

    /** The mail address of an order was changed: whoever had it before is told. */
    public void addressChanged(Order order, String before) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f, List.of());
        model.put("intro", f.text("letter.address.intro", Long.toString(order.number())));
        model.put("money", "");
        model.put("struck", false);
        LetterWriter.Parts parts = writer.write("note", f.locale(), model);
        outbox.putForGuest(new Letter(
                order.id(), "address", before, f.text("letter.address.subject"), parts.text(), parts.html(), null));
    }

    /** The transfer did not come in time, and the places are free again. */
    public void transferMissed(Order order) {
        toGuest(order, "transfer-missed", order.lost(), "");
    }

    /** An order that waited for its money was called off. */
    public void calledOff(Order order) {
        toGuest(order, "called-off", order.lost(), "");
    }

    /** Vouchers and passes were paid for and issued. */
    public void issued(Order order, List<Prepaid> issued) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f, List.of());
        model.put("prepaid", issued);
        model.put("codes", address.inLetters("/codes/"));
        String subject = f.text("letter.issued.subject", issued.get(0).title());
        LetterWriter.Parts parts = writer.write("issued", f.locale(), model);
        toGuest(order, "issued", subject, parts, null);
        toHosts(order, "host-issued", his -> {
            Map<String, Object> hostModel = model(order, his, List.of());
            hostModel.put(
                    "intro",
                    his.text(
                            "letter.host-issued.intro",
                            order.contact().name(),
                            issued.get(0).title()));
            return writer.write("host", his.locale(), hostModel);
        });
    }

    /** What is left to pay is asked for. */
    public void balance(Order order, OrderLine line, String kind) {
        toGuest(order, kind, List.of(line), "");
    }

    /** Money goes back without a booking's end. */
    public void refunded(Order order, OrderLine line, Money back) {
        toGuest(order, "refunded", List.of(line), back);
    }

    /** Nobody came, and the terms give something back. */
    public void missed(Order order, OrderLine line, Money back) {
        toGuest(order, "missed", List.of(line), back);
    }

    /** @param back what goes back; null where money is not spoken of */
    private void toGuest(Order order, String kind, List<OrderLine> lines, @Nullable Money back) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        toGuest(order, kind, lines, back != null && back.isPositive() ? f.text("letter.back", f.money(back)) : "");
    }

    private void toGuest(Order order, String kind, List<OrderLine> lines, String money) {
        toGuest(order, kind, lines, money, Map.of());
    }

    /** @param links in place of, or beside, the one to the order's page */
    private void toGuest(Order order, String kind, List<OrderLine> lines, String money, Map<String, Object> links) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f, lines);
        model.put("intro", f.text("letter." + kind + ".intro"));
        model.put("money", money);
        model.put("struck", lines.stream().noneMatch(OrderLine::stands));
        model.put("button", f.text("letter.toPage"));
        model.put("buttonTo", model.get("page"));
        model.putAll(links);
        LetterWriter.Parts parts = writer.write("note", f.locale(), model);
        toGuest(order, kind, f.text("letter." + kind + ".subject", title(order, lines)), parts, null);
    }

    private void toHosts(Order order, String kind, List<OrderLine> lines) {
        toHosts(order, kind, f -> {
            Map<String, Object> model = model(order, f, lines);
            model.put(
                    "intro", f.text("letter." + kind + ".intro", order.contact().name()));
            return writer.write("host", f.locale(), model);
        });
    }

    /**
     * Writes to each of those in charge in their own language. Subjects say nothing that a guest wrote: they stand in lists
     * and notices where nobody expects a stranger's words.
     */
    private void toHosts(Order order, String kind, Function<Formats, LetterWriter.Parts> written) {
        String calendar = kind.equals("host") ? calendar(order) : null;
        for (Host host : hosts.inCharge()) {
            Formats f = speech.in(host.language(), catalogues.catalogue());
            LetterWriter.Parts parts = written.apply(f);
            String subject = f.text("letter." + kind + ".subject", Long.toString(order.number()));
            outbox.put(new Letter(order.id(), kind, host.email(), subject, parts.text(), parts.html(), calendar));
        }
    }

    /** What a letter about some lines is about; without lines, what else the order buys. */
    private String title(Order order, List<OrderLine> lines) {
        return lines.isEmpty() ? pages.goods(order).get(0).goods().title() : title(lines.get(0));
    }

    private String title(OrderLine line) {
        return line.sold().title();
    }

    /** Money came when every place was gone; it goes back. */
    public void tooLate(Order order, Money back) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        Map<String, Object> model = model(order, f, List.of());
        model.put("back", back);
        String subject = f.text("letter.too-late.subject", f.money(back));
        toGuest(order, "too-late", subject, writer.write("too-late", f.locale(), model), null);
    }

    private void toGuest(
            Order order, String kind, String subject, LetterWriter.Parts parts, @Nullable String calendar) {
        String to = order.contact().email();
        outbox.putForGuest(new Letter(order.id(), kind, to, subject, parts.text(), parts.html(), calendar));
    }

    private Map<String, Object> model(Order order, Formats f, List<OrderLine> lines) {
        Map<String, Object> model = new HashMap<>();
        model.put("order", order);
        model.put("rows", pages.rows(lines, f));
        model.put("paid", order.paid());
        model.put("lost", pages.rows(order.lost(), f));
        model.put("f", f);
        model.put("houseName", catalogues.catalogue().house().name());
        model.put("page", address.inLetters("/bookings/" + order.token()));
        model.put("desk", address.inLetters("/desk/orders/" + order.number()));
        return model;
    }

    /** The standing bookings of an order as a calendar file. */
    public String calendar(Order order) {
        Catalogue catalogue = catalogues.catalogue();
        Formats f = speech.in(order.locale(), catalogue);
        List<OrderLine> certain = order.standing().stream()
                .filter(l -> l.status() != BookingStatus.REQUESTED)
                .toList();
        List<CalendarFile.Event> events = pages.rows(certain, f).stream()
                .map(row -> new CalendarFile.Event(
                        row.line().booking().value(),
                        row.line().time(),
                        row.title() + " · " + catalogue.house().name(),
                        row.place(),
                        row.directions().isEmpty() ? row.title() : row.directions(),
                        address.inLetters("/bookings/" + order.token())))
                .toList();
        return CalendarFile.of(events, clock.instant());
    }
}
