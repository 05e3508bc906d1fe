package gastfreund.app.pages;

import java.util.Set;
import org.commonmark.node.Block;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.Heading;
import org.commonmark.node.ListBlock;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;

/** Formatted text: paragraphs, headings, lists, bold, italic and links, written as Markdown (CommonMark). */
public final class Markdown {

    private static final Set<Class<? extends Block>> BLOCKS = Set.of(Heading.class, ListBlock.class, BlockQuote.class);
    private static final Parser PARSER =
            Parser.builder().enabledBlockTypes(BLOCKS).build();
    private static final HtmlRenderer RENDERER =
            HtmlRenderer.builder().escapeHtml(true).softbreak("<br>\n").build();

    /** Whatever is written, nothing else comes out. The headings of a page come before those of its texts. */
    private static final PolicyFactory ALLOWED = new HtmlPolicyBuilder()
            .allowElements("p", "br", "ul", "ol", "li", "strong", "em", "blockquote", "h2", "h3")
            .allowElements((name, attributes) -> name.equals("h1") ? "h2" : "h3", "h1", "h4", "h5", "h6")
            .allowElements("a")
            .allowUrlProtocols("https", "http", "mailto", "tel")
            .allowAttributes("href")
            .onElements("a")
            .requireRelsOnLinks("nofollow", "noopener")
            .toFactory();

    private Markdown() {}

    /** HTML that can stand in a page as it is; empty for no text. */
    public static String html(String markdown) {
        return markdown.isBlank() ? "" : ALLOWED.sanitize(RENDERER.render(PARSER.parse(markdown)));
    }
}
