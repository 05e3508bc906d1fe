package gastfreund.app.pictures;

import gastfreund.app.languages.Formats;
import gastfreund.app.pages.Field;
import java.util.Set;

/**
 * The picture of something, and the form that changes it.
 *
 * @param id unique on its page
 * @param title what it is
 * @param name of the picture; empty: none
 * @param action where another is sent
 * @param file the field for it
 */
public record PictureField(String id, String title, String name, String action, Field file) {

    private static final String TYPES = "image/jpeg,image/png,image/webp,image/svg+xml";

    private static final Set<String> WHY = Set.of("none", "unreadable", "too-large", "undrawable");

    /** @param why the last one was not taken, as an address says it; empty: nobody sent one */
    public static PictureField of(String name, String action, String why, Formats f) {
        return new PictureField(
                "picture",
                f.text("picture.title"),
                name,
                action,
                Field.file("file", f.text("picture.file"), TYPES)
                        .help(f.text("picture.help"))
                        .wrong(WHY.contains(why) ? f.text("picture.wrong." + why) : ""));
    }

    /** The same where it is one of several on its page. */
    public PictureField called(String member, String words) {
        return new PictureField("picture-" + member, words, name, action, file.id("file-" + member));
    }

    /** Where it is taken away. */
    public String removal() {
        int query = action.indexOf('?');
        return query < 0 ? action + "/remove" : action.substring(0, query) + "/remove" + action.substring(query);
    }
}
