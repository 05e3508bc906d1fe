package gastfreund.app.extras;

import gastfreund.app.pictures.PictureName;
import gastfreund.housefile.Node;
import java.util.List;

/**
 * The words and the pictures of a house or an offer, as a house file keeps them in {@code extra}.
 *
 * @param picture a file name in the data folder's pictures; empty: none
 * @param pictureText what the picture shows, for those who do not see it
 * @param pictureAt where in the picture what matters is, one of {@link #POINTS}
 * @param text more of it, formatted, as Markdown; empty: nothing
 * @param more further pictures
 */
public record Story(
        String summary,
        List<String> included,
        String picture,
        String pictureText,
        String pictureAt,
        String text,
        List<Picture> more) {

    /** Where in a picture what matters can be: it stays to be seen where the picture is cut. */
    public static final List<String> POINTS =
            List.of("middle", "left", "right", "top", "bottom", "top-left", "top-right", "bottom-left", "bottom-right");

    private static final String MIDDLE = POINTS.get(0);
    private static final Story NONE = new Story("", List.of(), "", "", MIDDLE, "", List.of());

    /** @param at one of {@link #POINTS} */
    public record Picture(String name, String text, String at) {}

    public static Story none() {
        return NONE;
    }

    static Story of(Node extra) {
        return new Story(
                extra.textOrBlank("summary"),
                extra.elements("included").stream().map(Node::text).toList(),
                PictureName.in(extra, "picture"),
                extra.textOrBlank("pictureText"),
                point(extra, "pictureAt"),
                extra.textOrBlank("text"),
                extra.elements("pictures").stream()
                        .map(p -> p.object("id", "name", "text", "at"))
                        .map(p -> new Picture(PictureName.in(p, "name"), p.textOrBlank("text"), point(p, "at")))
                        .toList());
    }

    private static String point(Node owner, String member) {
        return owner.has(member) ? owner.word(member, POINTS.toArray(String[]::new), MIDDLE) : MIDDLE;
    }

    public boolean hasPicture() {
        return !picture.isEmpty();
    }
}
