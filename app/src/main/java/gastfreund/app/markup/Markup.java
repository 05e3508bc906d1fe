package gastfreund.app.markup;

import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/** Markup that is written by itself where a template would take too long: every value and every text is escaped. */
public final class Markup {

    private final StringBuilder out = new StringBuilder();

    private static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, StandardCharsets.UTF_8.name());
    }

    /** @param attributes names and values in turn; what has no value (null) is left out */
    public Markup open(String element, @Nullable Object... attributes) {
        out.append('<').append(element);
        for (int i = 0; i < attributes.length; i += 2) {
            Object value = attributes[i + 1];
            if (value != null) {
                out.append(' ').append(attributes[i]).append("=\"");
                out.append(value instanceof Number ? value.toString() : escaped(value.toString()));
                out.append('"');
            }
        }
        out.append('>');
        return this;
    }

    public Markup close(String element) {
        out.append("</").append(element).append('>');
        return this;
    }

    public Markup text(String text) {
        out.append(escaped(text));
        return this;
    }

    /** An element without anything in it. */
    public Markup empty(String element, @Nullable Object... attributes) {
        return open(element, attributes).close(element);
    }

    /** An element with nothing but a text. */
    public Markup said(String text, String element, @Nullable Object... attributes) {
        return open(element, attributes).text(text).close(element);
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
