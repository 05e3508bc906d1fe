package gastfreund.app.sharing;

import gastfreund.app.pages.Addresses;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;

/** The lines that somebody puts into a page of their own. */
final class Lines {

    /** How high a frame is that cannot say how high it would be. */
    private static final int HEIGHT = 720;

    private final Shown shown;
    private final String base;
    private final String words;

    /**
     * @param base the address of the house, without a slash at its end
     * @param words of the link
     */
    Lines(Shown shown, String base, String words) {
        this.shown = shown;
        this.base = base;
        this.words = words;
    }

    /** The panel with its script. */
    String panel() {
        return element() + "\n" + script();
    }

    /** The panel alone. */
    String element() {
        Map<String, String> attributes = new LinkedHashMap<>();
        attributes.put("house", base);
        attributes.putAll(shown.attributes());
        if (!shown.source().isEmpty()) {
            attributes.put("from", shown.source());
        }
        String written = attributes.entrySet().stream()
                .map(e -> " " + e.getKey() + "=\"" + escaped(e.getValue()) + "\"")
                .collect(Collectors.joining());
        return "<gastfreund-panel" + written + ">\n  " + link() + "\n</gastfreund-panel>";
    }

    private String script() {
        return "<script type=\"module\" src=\"" + escaped(base) + "/embed.js\"></script>";
    }

    /** A link alone. */
    String link() {
        return "<a href=\"" + escaped(address(shown.source())) + "\">" + escaped(words) + "</a>";
    }

    /** The address of what is shown, with a source. */
    String address(String source) {
        return shown.address(base, source);
    }

    /** A frame for pages that allow no scripts. */
    String frame() {
        Map<String, String> said = new LinkedHashMap<>(shown.attributes());
        said.remove("offer");
        said.remove("view");
        said.remove("as");
        if (!shown.source().isEmpty()) {
            said.put("from", shown.source());
        }
        said.put("height", Integer.toString(HEIGHT));
        return "<iframe src=\"" + escaped(Addresses.with(base + "/embed" + shown.path(), said)) + "\" title=\""
                + escaped(shown.title()) + "\" width=\"100%\" height=\"" + HEIGHT + "\"></iframe>";
    }

    /** A line for the signature of mails. */
    String signature(String source) {
        return "<a href=\"" + escaped(address(source)) + "\" style=\"color:#b5482f\">" + escaped(words) + "</a>";
    }

    static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }
}
