package gastfreund.app.talks;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;

/** What somebody wrote in a mail, without what they answered to. */
final class MailWords {

    private static final String BLOCKS = "p, div, li, tr, h1, h2, h3, h4, h5, h6, pre, table, ul, ol";
    private static final Pattern CONTROLS = Pattern.compile("[\\p{Cntrl}&&[^\n\t]]");
    private static final Pattern GAPS = Pattern.compile("\n{3,}+");
    private static final Pattern BLANKS = Pattern.compile("[ \t\\u00a0]++");

    private MailWords() {}

    /** The text of HTML, with its lines; what is quoted in it is left out. */
    static String ofHtml(String html) {
        Document page = Jsoup.parse(html);
        page.select("script, style, head, blockquote").remove();
        StringBuilder words = new StringBuilder();
        NodeTraversor.traverse(
                new NodeVisitor() {
                    @Override
                    public void head(Node node, int depth) {
                        if (node instanceof TextNode text) {
                            words.append(BLANKS.matcher(text.getWholeText().replace('\n', ' '))
                                    .replaceAll(" "));
                        } else if (node instanceof Element element && (element.is("br") || element.is(BLOCKS))) {
                            words.append('\n');
                        }
                    }

                    @Override
                    public void tail(Node node, int depth) {
                        if (node instanceof Element element && element.is("p")) {
                            words.append('\n');
                        }
                    }
                },
                page.body());
        return words.toString();
    }

    /** Without control characters, and without the quotation at its end and the line that introduces it. */
    static String own(String text) {
        String plain =
                CONTROLS.matcher(text.replace("\r\n", "\n").replace('\r', '\n')).replaceAll("");
        List<String> lines = new ArrayList<>(plain.lines().map(String::strip).toList());
        boolean quoted = dropBlank(lines) && lines.get(lines.size() - 1).startsWith(">");
        while (!lines.isEmpty() && isQuoted(lines.get(lines.size() - 1))) {
            lines.remove(lines.size() - 1);
        }
        if (quoted && !lines.isEmpty() && lines.get(lines.size() - 1).endsWith(":")) {
            lines.remove(lines.size() - 1);
        }
        return GAPS.matcher(String.join("\n", lines)).replaceAll("\n\n").strip();
    }

    /** Whether there is any line left. */
    private static boolean dropBlank(List<String> lines) {
        while (!lines.isEmpty() && lines.get(lines.size() - 1).isEmpty()) {
            lines.remove(lines.size() - 1);
        }
        return !lines.isEmpty();
    }

    private static boolean isQuoted(String line) {
        return line.isEmpty() || line.startsWith(">");
    }
}
