package gastfreund.app.languages;

import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;

/** The texts of the product in one language. */
public final class Words {

    private final MessageSource messages;
    private final Locale locale;

    /** @param locale one of {@link Languages} */
    public Words(MessageSource messages, Locale locale) {
        this.messages = messages;
        this.locale = locale;
    }

    /** @throws org.springframework.context.NoSuchMessageException where no bundle has the key */
    public String text(String key, Object... arguments) {
        return messages.getMessage(key, arguments, locale);
    }

    /** What is wrong with something, in words. */
    public String text(MessageSourceResolvable problem) {
        return messages.getMessage(problem, locale);
    }

    /** Empty where no bundle has the key. */
    public Optional<String> find(String key) {
        return Optional.ofNullable(messages.getMessage(key, null, null, locale));
    }
}
