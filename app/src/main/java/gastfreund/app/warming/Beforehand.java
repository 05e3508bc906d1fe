package gastfreund.app.warming;

import java.util.Locale;
import org.springframework.boot.autoconfigure.preinitialize.BackgroundPreinitializer;
import org.unbescape.html.HtmlEscape;

/**
 * What takes a while and waits for nothing else, done beside a start: languages are listed, and the names of all signs that pages
 * may have are sorted.
 */
class Beforehand implements BackgroundPreinitializer {

    @Override
    public void preinitialize() {
        Locale.getAvailableLocales();
        HtmlEscape.escapeHtml4Xml("<");
    }
}
