package gastfreund.app.housedesk;

import gastfreund.app.catalogue.Document;
import gastfreund.app.catalogue.DocumentRef;
import gastfreund.app.editing.Asking;
import gastfreund.app.editing.Inputs;
import gastfreund.app.editing.Part;
import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.List;
import java.util.Locale;

/**
 * The texts of a thing in other languages.
 *
 * @param languages those in which it can be written, beside the first
 */
record TongueSubject(Document document, List<String> languages) implements Subject {

    @Override
    public DocumentRef ref() {
        return document.ref();
    }

    @Override
    public String address() {
        return TonguesController.address(document.ref());
    }

    @Override
    public String title(Document seen, Formats f) {
        return f.text("tongues.of", seen.name());
    }

    @Override
    public List<String> tabs() {
        return languages;
    }

    @Override
    public String tabWords(String tab, Formats f) {
        return Locale.forLanguageTag(tab).getDisplayLanguage(f.locale());
    }

    @Override
    public Inputs table() {
        return SpokenTexts.table(document.ref().kind());
    }

    @Override
    public List<Part> parts(String tab, Asking ask) {
        return List.of(Part.of("texts")
                .withFields(SpokenTexts.of(document).stream()
                        .map(t -> field(t, tab, ask))
                        .toList()));
    }

    private static Field field(SpokenTexts.Text text, String language, Asking ask) {
        Field field = text.lines() ? ask.text(text.in(language)) : ask.line(text.in(language));
        return field.help(text.words()).with("lang", language);
    }
}
