package gastfreund.app.found;

import java.util.List;

/**
 * As what a page is shared and found.
 *
 * @param address whole, without anything that only its reader has chosen
 * @param picture the whole address of a picture that every program can show; empty: none
 * @param others the same page in other languages
 * @param linked what it says of itself, as JSON-LD; empty: nothing
 */
public record SharedAs(String address, String picture, List<Other> others, String linked) {

    /** Whether its picture was drawn for it. */
    public boolean isDrawn() {
        return picture.endsWith("/shared.png");
    }

    /** @param tag of the language; {@code x-default}: whatever the reader's browser asks for */
    public record Other(String tag, String address) {}
}
