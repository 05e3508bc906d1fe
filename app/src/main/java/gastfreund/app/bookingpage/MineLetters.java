package gastfreund.app.bookingpage;

import gastfreund.app.catalogue.Catalogue;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import gastfreund.core.time.Interval;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes the letters in which guests get the links to their bookings. */
@Component
class MineLetters implements LetterWriting {

    static final String KIND = Outbox.ASKED + "mine";

    private final MineStore store;
    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;
    private final Clock clock;

    MineLetters(
            MineStore store,
            CatalogueService catalogues,
            Speech speech,
            LetterWriter writer,
            Address address,
            Clock clock) {
        this.store = store;
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
        this.clock = clock;
    }

    @Override
    public boolean writes(String kind) {
        return kind.equals(KIND);
    }

    @Override
    public Written write(Letter letter) {
        Instant now = clock.instant();
        Catalogue catalogue = catalogues.catalogue();
        Formats f = speech.in(letter.language(), catalogue);
        String house = catalogue.house().name();
        List<LetterWriter.Link> rows = store.after(letter.recipient(), now).stream()
                .map(m -> new LetterWriter.Link(
                        address.inLetters("/bookings/" + m.token()),
                        f.text(
                                "mine.row",
                                f.soon(Math.max(m.start(), Interval.firstMinuteFrom(now)), now),
                                catalogue.offer(m.offer()).title(),
                                m.bookings() - 1)))
                .toList();
        return writer.links(
                f.text("mine.subject", house),
                f.text(rows.isEmpty() ? "mine.none" : "mine.intro", house),
                rows,
                f.text("mine.foot"),
                house,
                f);
    }
}
