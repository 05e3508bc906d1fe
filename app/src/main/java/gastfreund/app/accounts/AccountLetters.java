package gastfreund.app.accounts;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Outbox;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes the letter with the link that leads into an account, and tells of changes in how its guest gets in. */
@Component
class AccountLetters implements LetterWriting {

    static final String LINK = Outbox.ASKED + "account";
    static final String CHANGED = Outbox.ASKED + "account-changed";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What has changed. */
    enum Change {
        PASSWORD,
        NO_PASSWORD,
        PASSKEY,
        NO_PASSKEY;

        /** The name in texts. */
        String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** What a letter with a link says, in JSON. */
    record Said(String token) {

        String json() {
            return JSON.writeValueAsString(this);
        }
    }

    /** What a letter about a change says, in JSON. */
    record Changed(String what) {

        String json() {
            return JSON.writeValueAsString(this);
        }
    }

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;

    AccountLetters(CatalogueService catalogues, Speech speech, LetterWriter writer, Address address) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
        this.address = address;
    }

    @Override
    public boolean writes(String kind) {
        return kind.equals(LINK) || kind.equals(CHANGED);
    }

    @Override
    public Written write(Letter letter) {
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        String house = catalogues.in(letter.language()).house().name();
        if (letter.kind().equals(CHANGED)) {
            String what = JSON.readValue(letter.facts(), Changed.class).what();
            return writer.links(
                    f.text("account.changed.subject", house),
                    f.text("account.changed." + what, house),
                    List.of(new LetterWriter.Link(address.inLetters("/account"), f.text("account.changed.link"))),
                    f.text("account.changed.foot"),
                    house,
                    f);
        }
        String token = JSON.readValue(letter.facts(), Said.class).token();
        return writer.links(
                f.text("account.letter.subject", house),
                f.text("account.letter.intro", house),
                List.of(new LetterWriter.Link(
                        address.inLetters("/account/link/" + token), f.text("account.letter.link"))),
                f.text("account.letter.foot", f.duration(Accounts.LINK)),
                house,
                f);
    }
}
