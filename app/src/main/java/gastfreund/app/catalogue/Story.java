package gastfreund.app.catalogue;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

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

    static Story of(JsonNode extra) {
        List<String> included = new ArrayList<>();
        extra.path("included").forEach(i -> included.add(i.asString("")));
        return new Story(
                extra.path("summary").asString(""),
                List.copyOf(included),
                extra.path("picture").asString(""),
                extra.path("pictureText").asString(""));
    }

    public boolean hasPicture() {
        return !picture.isEmpty();
    }
}
