package gastfreund.app.messages;

import gastfreund.app.languages.Formats;
import java.util.HashMap;
import java.util.List;
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

    /** A link in a letter that is some links. */
    public record Link(String address, String words) {}

    /**
     * A letter that is some links with a few words around them.
     *
     * @param house what the house is called
     */
    public Written links(String subject, String intro, List<Link> links, String foot, String house, Formats f) {
        Map<String, Object> model = new HashMap<>();
        model.put("f", f);
        model.put("houseName", house);
        model.put("intro", intro);
        model.put("rows", links);
        model.put("foot", foot);
        Parts parts = write("links", f.locale(), model);
        return new Written(subject, parts.text(), parts.html(), null);
    }

    public Parts write(String kind, Locale locale, Map<String, Object> model) {
        Context context = context(locale, model);
        String text = templates.process("messages/" + kind + ".txt", context);
        return new Parts(
                GAPS.matcher(text).replaceAll("\n\n").strip() + "\n",
                frame.framed(templates.process("messages/" + kind, context), locale));
    }
}
