package gastfreund.app.sharing;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.catalogue.Speech;
import gastfreund.app.languages.Formats;
import gastfreund.app.messages.Letter;
import gastfreund.app.messages.LetterWriter;
import gastfreund.app.messages.LetterWriting;
import gastfreund.app.messages.Written;
import gastfreund.housefile.HouseFile;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Writes the letters by which the lines come to whoever makes a website. */
@Component
class LinesLetters implements LetterWriting {

    static final String KIND = "sharing.lines";

    private final CatalogueService catalogues;
    private final Speech speech;
    private final LetterWriter writer;

    LinesLetters(CatalogueService catalogues, Speech speech, LetterWriter writer) {
        this.catalogues = catalogues;
        this.speech = speech;
        this.writer = writer;
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
        model.put("intro", f.text("lines.intro", facts.path("by").stringValue(""), house));
        model.put("what", f.text("lines.what", facts.path("title").stringValue("")));
        model.put("lines", facts.path("lines").stringValue(""));
        model.put("help", f.text("lines.help"));
        LetterWriter.Parts parts = writer.write("lines", f.locale(), model);
        return new Written(f.text("lines.subject", house), parts.text(), parts.html(), null);
    }
}
