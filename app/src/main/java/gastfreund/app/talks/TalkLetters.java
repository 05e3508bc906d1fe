package gastfreund.app.talks;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.MailboxSettings;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Orders;
import gastfreund.app.pages.Address;
import gastfreund.core.bookings.BookingId;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Writes the letters by which hosts and guests talk. */
@Component
class TalkLetters implements LetterWriting {

    static final String TO_GUEST = "talks.guest";
    static final String TO_HOST = "talks.host";

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;
    private final MailboxSettings mailbox;
    private final Orders orders;

    TalkLetters(
            CatalogueService catalogues,
            Speech speech,
            LetterWriter writer,
            Address address,
            MailboxSettings mailbox,
            Orders orders) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
        this.mailbox = mailbox;
        this.orders = orders;
    }

    @Override
    public boolean writes(String kind) {
        return kind.equals(TO_GUEST) || kind.equals(TO_HOST);
    }

    @Override
    public Written write(Letter letter) {
        TalkFacts facts = TalkFacts.of(letter.facts());
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        boolean toGuest = letter.kind().equals(TO_GUEST);
        String reply = toGuest ? mailbox.addressOf(facts.thread()) : "";
        Map<String, Object> model = new HashMap<>();
        model.put("f", f);
        model.put("houseName", catalogues.in(f.locale()).house().name());
        model.put("facts", facts);
        model.put("toGuest", toGuest);
        model.put("hello", f.text(toGuest ? "letter.hello" : "talks.wrote", facts.guest()));
        model.put("about", about(facts, f));
        model.put("answer", reply.isEmpty() ? "" : f.text("talks.answer"));
        model.put("button", f.text(toGuest ? "talks.toBooking" : "talks.toOrder"));
        model.put(
                "buttonTo",
                address.inLetters(toGuest ? "/bookings/" + facts.token() : "/desk/orders/" + facts.number() + "#said"));
        LetterWriter.Parts parts = writer.write("talk", f.locale(), model);
        String number = Long.toString(facts.number());
        String subject = toGuest ? f.text("talks.subject", number) : f.text("talks.hostSubject", facts.guest(), number);
        return new Written(subject, parts.text(), parts.html(), null).answeredAt(reply);
    }

    /** The booking that it is about, in a line; empty: none, or it is no more. */
    private String about(TalkFacts facts, Formats f) {
        if (facts.booking().isEmpty()) {
            return "";
        }
        BookingId booking = new BookingId(facts.booking());
        return orders.byBooking(booking)
                .flatMap(o -> o.line(booking))
                .map(l -> l.sold().title() + ", " + f.dayAndTimes(l.time()))
                .orElse("");
    }
}
