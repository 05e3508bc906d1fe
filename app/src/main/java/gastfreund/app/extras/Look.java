package gastfreund.app.extras;

import gastfreund.app.pages.Palette;
import gastfreund.housefile.Node;
import java.util.Optional;

/**
 * How the guests' pages look.
 *
 * @param colour of what matters most, as {@code #4f6b46}; empty: the product's own
 * @param font of headings and text
 */
public record Look(String colour, Font font) {

    /** The fonts that come with the product. */
    public enum Font {
        HOUSE,
        /** Whatever the reader's device has, without serifs. */
        PLAIN,
        /** The same with serifs. */
        BOOK
    }

    static Look of(Node extra) {
        Node look = extra.at("look");
        if (!extra.has("look")) {
            return new Look("", Font.HOUSE);
        }
        look.object("colour", "font");
        String colour = look.textOrBlank("colour");
        if (!colour.isEmpty()) {
            Optional<Palette> palette = Palette.of(colour);
            if (palette.isEmpty()) {
                look.at("colour").problem("must be a colour as #4f6b46");
            } else if (!palette.get().isReadable()) {
                look.at("colour")
                        .problem("is too light to be read on paper; "
                                + palette.get().readable() + " could be");
            }
        }
        String font = look.word("font", new String[] {"house", "plain", "book"}, "house");
        return new Look(colour, font.equals("plain") ? Font.PLAIN : font.equals("book") ? Font.BOOK : Font.HOUSE);
    }

    /** Whether it is another than the product's own. */
    public boolean isOwn() {
        return !colour.isEmpty() || font != Font.HOUSE;
    }
}
