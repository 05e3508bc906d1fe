package gastfreund.app.letters;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrderLine;
import gastfreund.app.wording.Occasion;
import gastfreund.app.wording.Wording;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Letters as they would go out about a booking, before anybody has kept their words. */
@Component
public class Rehearsal {

    private final CatalogueService catalogues;
    private final Speech speech;
    private final OrderLetters letters;
    private final LetterTexts texts;

    Rehearsal(CatalogueService catalogues, Speech speech, OrderLetters letters, LetterTexts texts) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.letters = letters;
        this.texts = texts;
    }

    /** What goes out when a booking stands, as it would be written now: to its guest, and to whoever is in charge. */
    public List<Written> placed(Order order, OrderLine line) {
        String facts = letters.facts(order, line).json();
        return Stream.of("confirmation", "host")
                .map(kind ->
                        texts.write(new Letter(order.id(), kind, order.contact().email(), order.locale(), facts)))
                .toList();
    }

    /** A letter about a booking, in some words. */
    public Written as(Order order, OrderLine line, Occasion occasion, Wording words, Locale language) {
        Formats f = speech.in(language, catalogues.catalogue());
        return texts.written(words, Occasions.kind(occasion), letters.facts(order, line), f);
    }

    /** A text message about a booking, in some words. */
    public String message(Order order, OrderLine line, String words, Locale language) {
        return texts.message(words, letters.facts(order, line), speech.in(language, catalogues.catalogue()));
    }

    /** Our own words for an occasion, with tags, for whoever begins to write others. */
    public Wording ours(Occasion occasion, Locale language) {
        return texts.ours(occasion, speech.in(language, catalogues.catalogue()));
    }
}
