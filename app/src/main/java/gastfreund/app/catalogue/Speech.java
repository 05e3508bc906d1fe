package gastfreund.app.catalogue;

import gastfreund.app.languages.Formats;
import gastfreund.app.languages.Languages;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** How this house says things in a language. */
@Component
public class Speech {

    private final MessageSource messages;

    Speech(MessageSource messages) {
        this.messages = messages;
    }

    public Formats in(Locale locale, Catalogue catalogue) {
        return new Formats(
                messages,
                Languages.spoken(locale),
                catalogue.zone(),
                catalogue.house().currency(),
                catalogue.extras().manners().twelveHours());
    }
}
