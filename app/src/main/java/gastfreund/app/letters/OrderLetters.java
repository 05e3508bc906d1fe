package gastfreund.app.letters;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.companions.Companion;
import gastfreund.app.companions.Companions;
import gastfreund.app.hosts.Host;
import gastfreund.app.hosts.HostService;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.TextGateway;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.orders.OrderRows;
import gastfreund.app.payments.GatewayAccount;
import gastfreund.app.payments.Payment;
import gastfreund.app.typed.Telephone;
import gastfreund.app.vouchers.Goods;
import gastfreund.app.vouchers.Prepaid;
import gastfreund.app.wording.HouseLetters;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.OwnLetter;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.money.Money;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What guests and the house are told about orders. Every letter goes into the outbox of the current transaction as what it
 * says; {@link LetterTexts} writes it when it goes out.
 */
@Component
public class OrderLetters {

    /** What is told of a move by the house. */
    private static final List<String> MOVED = List.of("moved-by-host", "host-moved-here", CompanionLetters.MOVED);

    /** What can be a name in a letter to a stranger: nothing that a mail program would make a link of. */
    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{M}' \\u2019-]{1,80}");

    private final CatalogueService catalogues;
    private final Speech speech;
    private final OrderRows pages;
    private final Outbox outbox;
    private final TextGateway texts;
    private final Unsubscribing unsubscribing;
    private final HostService hosts;
    private final Companions companions;
    private final ProofKeys proofs;

    OrderLetters(
            CatalogueService catalogues,
            Speech speech,
            OrderRows pages,
            Outbox outbox,
            TextGateway texts,
            Unsubscribing unsubscribing,
            HostService hosts,
            Companions companions,
            ProofKeys proofs) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.pages = pages;
        this.outbox = outbox;
        this.texts = texts;
        this.unsubscribing = unsubscribing;
        this.hosts = hosts;
        this.companions = companions;
        this.proofs = proofs;
    }

    /** The order was placed: its bookings stand, or wait for the host's yes. */
    public void placed(Order order) {
        List<OrderLine> standing = order.certain();
        List<OrderLine> asked = order.standing().stream()
                .filter(l -> l.status() == BookingStatus.REQUESTED)
                .toList();
        if (standing.isEmpty()) {
            toGuest(order, "request", about(order, asked));
        } else {
            toGuest(order, "confirmation", about(order, standing).asked(asked).with(order.certain()));
        }
        toHosts(
                order,
                asked.isEmpty() ? "host" : "host-request",
                about(order, order.standing()).with(order.certain()));
        toPeople(order, asked.isEmpty() ? "host" : "host-request", order.standing());
    }

    /**
     * The host said yes to a request.
     *
     * @param words what the host says of it to the guest; empty: nothing
     */
    public void accepted(Order order, OrderLine line, String words) {
        toGuest(
                order,
                "confirmation",
                about(order, List.of(line)).with(order.certain()).reason(words));
    }

    /**
     * A booking ended: by the guest or the host, declined, or because nobody answered.
     *
     * @param why what the host says of it to the guest; empty: nothing
     */
    public void ended(
            Order order, List<OrderLine> lines, String kind, @Nullable Money back, String why, boolean tellGuest) {
        if (tellGuest) {
            toGuest(order, kind, about(order, lines).back(back).reason(why));
        }
        if (kind.equals("cancelled")) {
            toHosts(order, "host-cancelled", about(order, lines));
        }
        lines.forEach(line -> toCompanions(order, line, CompanionLetters.CANCELLED));
        boolean booked = kind.equals("cancelled") || kind.equals("cancelled-by-host");
        if (booked) {
            toPeople(order, kind.equals("cancelled") ? "host-cancelled" : "host-cancelled-here", lines);
        }
    }

    /**
     * Bookings were moved by their guest, or by the house.
     *
     * @param back what comes back of all of them
     */
    public void moved(Order order, List<OrderLine> lines, Money back, boolean byGuest, boolean tell) {
        if (tell) {
            toGuest(
                    order,
                    byGuest ? "moved" : "moved-by-host",
                    about(order, lines).back(back));
        }
        if (byGuest) {
            toHosts(order, "host-moved", about(order, lines));
        }
        lines.forEach(line -> toCompanions(order, line, CompanionLetters.MOVED));
        toPeople(order, byGuest ? "host-moved" : "host-moved-here", lines);
    }

    /** Lets the letters of a move that was made just now wait until it can no longer be taken back. */
    public void waitAfterMove(Order order, Duration grace) {
        outbox.wait(order.id(), MOVED, grace);
    }

    /** Takes back the letters of a move that have not gone. */
    public void withdrawAfterMove(Order order, Instant since) {
        outbox.withdraw(order.id(), MOVED, since);
    }

    /** An order waits for a transfer. */
    public void transfer(Order order, Payment transfer, GatewayAccount account) {
        LocalDate until = catalogues.catalogue().zone().dateOf(transfer.awaitedUntil());
        Making making = about(order, order.standing())
                .transfer(new Facts.Transfer(
                        transfer.amount().minor(),
                        account.key("holder"),
                        account.key("iban"),
                        transfer.atGateway(),
                        until.toString()));
        boolean proves = order.isToBeProven() && !order.standing().isEmpty();
        toGuest(order, "transfer", proves ? making.prove(proofPath(order)) : making);
    }

    /** Nothing is due now: the guest is asked whether the address is theirs, and the places are kept until then. */
    public void prove(Order order) {
        toGuest(order, "prove", about(order, order.standing()).prove(proofPath(order)));
    }

    private String proofPath(Order order) {
        return "/bookings/" + order.token() + "/prove?key=" + proofs.keyOf(order);
    }

    /** The mail address of an order was changed: whoever had it before is told, and nothing of the order. */
    public void addressChanged(Order order, String before) {
        Facts facts = about(order, List.of()).withoutToken().facts();
        outbox.putForGuest(new Letter(order.id(), "address", before, order.locale(), facts.json()));
    }

    /** The transfer did not come in time, and the places are free again. */
    public void transferMissed(Order order) {
        toGuest(order, "transfer-missed", about(order, order.lost()));
    }

    /** An order that waited for its money was called off. */
    public void calledOff(Order order) {
        toGuest(order, "called-off", about(order, order.lost()));
    }

    /** Vouchers and passes were paid for and issued, and wares paid for. */
    public void issued(Order order, List<Prepaid> issued, List<Goods> wares) {
        Making making = about(order, List.of()).issued(issued, wares);
        toGuest(order, "issued", making);
        toHosts(order, "host-issued", making);
    }

    /** What is left to pay is asked for. */
    public void balance(Order order, List<OrderLine> lines, String kind) {
        toGuest(order, kind, about(order, lines));
    }

    /** Money goes back without a booking's end. */
    public void refunded(Order order, OrderLine line, Money back) {
        toGuest(order, "refunded", about(order, List.of(line)).back(back));
    }

    /** Nobody came, and the terms give something back. */
    public void missed(Order order, OrderLine line, Money back) {
        toGuest(order, "missed", about(order, List.of(line)).back(back));
    }

    /**
     * It is time for a letter before or after a booking.
     *
     * @param text whether as a text message, which goes only to guests who want that
     */
    public void timed(Order order, OrderLine line, OwnLetter letter, boolean text) {
        Facts facts = about(order, List.of(line)).timed(letter.id()).facts();
        String kind = letter.occasion().code();
        if (letter.people()) {
            toServing(order, line, kind, letter.id());
        } else if (text) {
            text(order, kind, facts);
        } else if (letter.occasion() != Occasion.AFTER || !unsubscribing.has(order)) {
            mail(order, kind, facts);
        }
    }

    /** Money came when every place was gone; it goes back. */
    public void tooLate(Order order, Money back) {
        toGuest(order, "too-late", about(order, List.of()).back(back));
    }

    /** Not where the house, or the offer that it is about, has turned the letter off. */
    private void toGuest(Order order, String kind, Making making) {
        Facts facts = making.facts();
        HouseLetters own = catalogues.catalogue().extras().letters();
        Optional<OwnLetter> letter = Occasions.of(kind).flatMap(o -> Occasions.letter(own, o, facts));
        if (letter.filter(OwnLetter::off).isEmpty()) {
            mail(order, kind, facts);
        }
        if (letter.filter(OwnLetter::texts).isPresent()) {
            text(order, kind, facts);
        }
    }

    /** Where the guest has an address: whoever was booked at the desk may have none. */
    private void mail(Order order, String kind, Facts facts) {
        if (order.contact().email().isBlank()) {
            return;
        }
        outbox.putForGuest(new Letter(order.id(), kind, order.contact().email(), order.locale(), facts.json()));
    }

    /** Where the guest wants text messages, and the house can send them. */
    private void text(Order order, String kind, Facts facts) {
        if (order.contact().wantsTexts() && texts.canSend()) {
            String country = catalogues.catalogue().extras().manners().country();
            Telephone.forTexts(order.contact().phone(), country)
                    .ifPresent(
                            to -> outbox.putForGuest(new Letter(order.id(), kind, to, order.locale(), facts.json())));
        }
    }

    /** Writes to each of those in charge in their own language. */
    private void toHosts(Order order, String kind, Making making) {
        String facts = making.facts().json();
        for (Host host : hosts.inCharge()) {
            outbox.put(new Letter(order.id(), kind, host.email(), host.language(), facts));
        }
    }

    /** Writes to those who serve, about the bookings that they serve, where the house has an address of theirs. */
    private void toPeople(Order order, String kind, List<OrderLine> lines) {
        List<Host> inCharge = hosts.inCharge();
        catalogues.catalogue().extras().portraits().forEach((person, portrait) -> {
            List<OrderLine> own = lines.stream()
                    .filter(l -> l.reserved().staff().contains(person))
                    .toList();
            boolean told = inCharge.stream().anyMatch(h -> h.email().equalsIgnoreCase(portrait.email()));
            if (!own.isEmpty() && !portrait.email().isEmpty() && !told) {
                String facts = about(order, own).with(own).facts().json();
                outbox.put(new Letter(order.id(), kind, portrait.email(), language(portrait.email(), inCharge), facts));
            }
        });
    }

    /** A letter before a booking to those who serve in it, without the guest's link. */
    private void toServing(Order order, OrderLine line, String kind, String letter) {
        String facts =
                about(order, List.of(line)).timed(letter).withoutToken().facts().json();
        List<Host> inCharge = hosts.inCharge();
        catalogues.catalogue().extras().portraits().forEach((person, portrait) -> {
            if (line.reserved().staff().contains(person) && !portrait.email().isEmpty()) {
                outbox.put(new Letter(order.id(), kind, portrait.email(), language(portrait.email(), inCharge), facts));
            }
        });
    }

    /** In which somebody is written to: their own where they are a host, that of those in charge else. */
    private Locale language(String email, List<Host> inCharge) {
        return hosts.byEmail(email)
                .or(() -> inCharge.stream().findFirst())
                .map(Host::language)
                .orElse(Locale.ENGLISH);
    }

    /** Writes to those who come along. */
    private void toCompanions(Order order, OrderLine line, String kind) {
        companions.of(line.booking()).forEach(c -> toCompanion(order, line, c, kind));
    }

    /** Writes to one of them; an invitation says by whom it is, where that is a name and nothing that could be more. */
    void toCompanion(Order order, OrderLine line, Companion companion, String kind) {
        String whose = order.contact().name();
        boolean said =
                kind.equals(CompanionLetters.INVITED) && NAME.matcher(whose).matches();
        Facts facts = facts(order, line).alongTo(companion.name(), companion.email(), said ? whose : "");
        outbox.putForGuest(new Letter(order.id(), kind, companion.email(), order.locale(), facts.json()));
    }

    /** What a letter about one booking says. */
    Facts facts(Order order, OrderLine line) {
        return about(order, List.of(line)).with(List.of(line)).facts();
    }

    private Making about(Order order, List<OrderLine> lines) {
        Formats f = speech.in(order.locale(), catalogues.catalogue());
        return new Making(order, lines, list -> pages.rows(list, f), () -> pages.goods(order));
    }
}
