package gastfreund.app.access;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Written;
import gastfreund.app.pages.Address;
import gastfreund.housefile.HouseFile;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Writes the letters by which hosts are invited. */
@Component
class InvitationLetters implements LetterWriting {

    static final String KIND = "access.invitation";

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;
    private final Address address;

    InvitationLetters(CatalogueService catalogues, Speech speech, LetterWriter writer, Address address) {
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
        JsonNode facts = HouseFile.parse(letter.facts());
        Formats f = speech.in(letter.language(), catalogues.catalogue());
        String house = catalogues.catalogue().house().name();
        Map<String, Object> model = new HashMap<>();
        model.put("f", f);
        model.put("houseName", house);
        model.put(
                "intro",
                f.text(
                        "invitation.intro",
                        facts.path("by").stringValue(""),
                        house,
                        f.text("role." + facts.path("role").stringValue("staff"))));
        model.put(
                "until",
                f.text(
                        "invitation.until",
                        f.moment(Instant.ofEpochSecond(facts.path("expires").longValue(0)))));
        model.put("button", f.text("invitation.button"));
        model.put(
                "buttonTo",
                address.inLetters("/desk/invitation/" + facts.path("token").stringValue("")));
        LetterWriter.Parts parts = writer.write("invitation", f.locale(), model);
        return new Written(f.text("invitation.subject", house), parts.text(), parts.html(), null);
    }
}
