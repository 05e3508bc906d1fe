package gastfreund.app.catalogue;

import gastfreund.housefile.Node;
import java.util.List;

/**
 * The words and the picture of a house or an offer, as a house file keeps them in {@code extra}.
 *
 * @param picture a file name in the data folder's pictures; empty: none
 * @param pictureText what the picture shows, for those who do not see it
 */
public record Story(String summary, List<String> included, String picture, String pictureText) {

    private static final Story NONE = new Story("", List.of(), "", "");

    public static Story none() {
        return NONE;
    }

    static Story of(Node extra) {
        return new Story(
                extra.textOrBlank("summary"),
                extra.elements("included").stream().map(Node::text).toList(),
                extra.textOrBlank("picture"),
                extra.textOrBlank("pictureText"));
    }

    public boolean hasPicture() {
        return !picture.isEmpty();
    }
}
