package gastfreund.app.wishes;

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
import gastfreund.core.offers.Offer;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes the letter in which a guest who waits gets the link to the page of their wish. */
@Component
class WishLetters implements LetterWriting {

    static final String KIND = Outbox.ASKED + "wish";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What it says, in JSON. */
    record Said(String token) {

        String json() {
            return JSON.writeValueAsString(this);
        }
    }

    private final WishStore store;
    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;

    WishLetters(WishStore store, CatalogueService catalogues, Speech speech, LetterWriter writer, Address address) {
        this.store = store;
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
    }

    @Override
    public boolean writes(String kind) {
        return kind.equals(KIND);
    }

    @Override
    public Written write(Letter letter) {
        String token = JSON.readValue(letter.facts(), Said.class).token();
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        Catalogue catalogue = catalogues.in(letter.language());
        String house = catalogue.house().name();
        List<LetterWriter.Link> rows = store.find(token).stream()
                .map(w -> new LetterWriter.Link(
                        address.inLetters("/wishes/" + token),
                        f.text(
                                "wish.row",
                                catalogue
                                        .offer(w.wish().offer().value())
                                        .map(Offer::title)
                                        .orElse(""),
                                WishWords.when(w.wish(), f))))
                .toList();
        return writer.links(
                f.text("wish.letter.subject", house),
                f.text("wish.letter.intro", house),
                rows,
                f.text("wish.letter.foot"),
                house,
                f);
    }
}
