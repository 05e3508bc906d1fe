package gastfreund.app.messages;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** Writes both parts of a message from the templates of its kind. */
@Component
public class LetterWriter {

    /** Mail programs know no style sheets; these go into the elements, from one place. */
    private static final Map<String, String> STYLES = Map.of(
            "body",
                    "margin:0;padding:24px;background:#fbf7f1;color:#2a1f2d;font:16px/1.55 Figtree,Helvetica,Arial,sans-serif",
            "sheet", "max-width:560px;margin:0 auto",
            "title", "font-size:24px;line-height:1.25;margin:0 0 16px",
            "line", "background:#fffdf9;border-radius:14px;padding:16px 20px;margin:0 0 12px",
            "when", "font-size:18px;font-weight:700;margin:0 0 4px",
            "quiet", "color:#66606a;margin:0",
            "button",
                    "display:inline-block;background:#b5482f;color:#ffffff;text-decoration:none;font-weight:700;"
                            + "padding:12px 22px;border-radius:999px");

    private static final Pattern GAPS = Pattern.compile("\n{3,}+");

    /** The parts of a message. */
    public record Parts(String text, String html) {}

    private final SpringTemplateEngine templates;

    LetterWriter(SpringTemplateEngine templates) {
        this.templates = templates;
    }

    /** Writes the HTML part alone, for letters whose text is there already. */
    public String html(String kind, Locale locale, Map<String, Object> model) {
        return templates.process("messages/" + kind, context(locale, model));
    }

    private static Context context(Locale locale, Map<String, Object> model) {
        Map<String, Object> all = new HashMap<>(model);
        all.put("css", STYLES);
        return new Context(locale, all);
    }

    public Parts write(String kind, Locale locale, Map<String, Object> model) {
        Context context = context(locale, model);
        String text = templates.process("messages/" + kind + ".txt", context);
        return new Parts(
                GAPS.matcher(text).replaceAll("\n\n").strip() + "\n", templates.process("messages/" + kind, context));
    }
}
