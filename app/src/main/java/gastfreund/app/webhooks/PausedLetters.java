package gastfreund.app.webhooks;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.hosts.Host;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Tells those in charge of the house that a program is told nothing any more. */
@Component
class PausedLetters implements LetterWriting {

    private static final String KIND = "webhook.host";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What such a letter says. */
    record Facts(String address, String answer) {}

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;

    PausedLetters(CatalogueService catalogues, Speech speech, LetterWriter writer, Address address) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
    }

    /** To one of those in charge. */
    static Letter letter(Host host, Webhook webhook, String answer) {
        String facts = JSON.writeValueAsString(new Facts(webhook.address(), answer));
        return new Letter(null, KIND, host.email(), host.language(), facts);
    }

    @Override
    public boolean writes(String kind) {
        return kind.equals(KIND);
    }

    @Override
    public Written write(Letter letter) {
        Facts facts = JSON.readValue(letter.facts(), Facts.class);
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        return writer.links(
                f.text("webhooks.letter.subject"),
                f.text("webhooks.letter.intro", facts.address(), answer(facts.answer(), f)),
                List.of(new LetterWriter.Link(address.inLetters("/desk/webhooks"), f.text("webhooks.letter.look"))),
                f.text("webhooks.letter.foot"),
                catalogues.catalogue().house().name(),
                f);
    }

    /** What came back, in words. */
    static String answer(String answer, Formats f) {
        if (answer.isEmpty()) {
            return f.text("webhooks.answer.none");
        }
        return Character.isDigit(answer.charAt(0))
                ? f.text("webhooks.status", answer)
                : f.text("webhooks.answer." + answer);
    }
}
