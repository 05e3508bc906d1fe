package gastfreund.app.messages;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** Writes both parts of a message from the templates of its kind. */
@Component
public class LetterWriter {

    private static final Pattern GAPS = Pattern.compile("\n{3,}+");

    /** The parts of a message. */
    public record Parts(String text, String html) {}

    private final SpringTemplateEngine templates;
    private final MailFrame frame;

    LetterWriter(SpringTemplateEngine templates, MailFrame frame) {
        this.templates = templates;
        this.frame = frame;
    }

    /** Writes the HTML part alone, for letters whose text is there already. */
    public String html(String kind, Locale locale, Map<String, Object> model) {
        return frame.framed(templates.process("messages/" + kind, context(locale, model)), locale);
    }

    private static Context context(Locale locale, Map<String, Object> model) {
        return new Context(locale, model);
    }

    public Parts write(String kind, Locale locale, Map<String, Object> model) {
        Context context = context(locale, model);
        String text = templates.process("messages/" + kind + ".txt", context);
        return new Parts(
                GAPS.matcher(text).replaceAll("\n\n").strip() + "\n",
                frame.framed(templates.process("messages/" + kind, context), locale));
    }
}
