package gastfreund.app.letters;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A letter's text in pieces: blank lines make paragraphs, and a line that is one link to the house becomes a button. Whatever
 * else stands in it is text, so that nothing that a guest wrote is more.
 */
final class OwnText {

    /**
     * A piece.
     *
     * @param lines of a paragraph
     * @param link of a button; empty: it is a paragraph
     */
    public record Piece(List<String> lines, String link) {}

    private static final Pattern LINES = Pattern.compile("\\R");

    private OwnText() {}

    /** @param base what addresses of the house begin with */
    static List<Piece> pieces(String text, String base) {
        List<Piece> pieces = new ArrayList<>();
        List<String> lines = new ArrayList<>();
        for (String line : LINES.split(text)) {
            String plain = line.strip();
            boolean link = plain.startsWith(base + "/") && plain.indexOf(' ') < 0;
            if (plain.isEmpty() || link) {
                end(lines, pieces);
            } else {
                lines.add(plain);
            }
            if (link) {
                pieces.add(new Piece(List.of(), plain));
            }
        }
        end(lines, pieces);
        return pieces;
    }

    private static void end(List<String> lines, List<Piece> pieces) {
        if (!lines.isEmpty()) {
            pieces.add(new Piece(List.copyOf(lines), ""));
            lines.clear();
        }
    }
}
