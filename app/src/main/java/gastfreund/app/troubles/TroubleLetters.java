package gastfreund.app.troubles;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Writes to those in charge what does not get through. */
@Component
class TroubleLetters implements LetterWriting {

    static final String KIND = "trouble.host";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;

    TroubleLetters(CatalogueService catalogues, Speech speech, LetterWriter writer, Address address) {
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
        List<Trouble> troubles = JSON.readValue(letter.facts(), new TypeReference<List<Trouble>>() {});
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        String house = catalogues.catalogue().house().name();
        return writer.links(
                f.text("trouble.subject", troubles.size()),
                f.text("trouble.intro"),
                troubles.stream().map(t -> row(t, f)).toList(),
                f.text("trouble.foot"),
                house,
                f);
    }

    private LetterWriter.Link row(Trouble trouble, Formats f) {
        String number = trouble.order() == 0 ? "" : Long.toString(trouble.order());
        String words = trouble.what().startsWith("stuck.")
                ? f.text(trouble.what())
                : f.text("trouble." + trouble.what(), trouble.about());
        String about = number.isEmpty() ? words : words + ", " + f.text("booking.number", number);
        String where = number.isEmpty()
                ? trouble.what().equals("calendar")
                        ? "/desk/busy-times"
                        : trouble.what().startsWith("stuck.") ? "/desk/payments" : "/desk/letters/sent"
                : "/desk/orders/" + number;
        boolean said = !trouble.why().isEmpty() && !trouble.what().equals("calendar");
        return new LetterWriter.Link(address.inLetters(where), said ? about + " (" + trouble.why() + ")" : about);
    }
}
