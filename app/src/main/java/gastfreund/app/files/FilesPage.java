package gastfreund.app.files;

import gastfreund.app.effects.Effect;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of files shows.
 *
 * @param reasons why the last file could not come in
 * @param coming what the last file would change; null: nothing waits
 * @param backups what is to be said of backups
 */
public record FilesPage(
        List<Note> notes, List<Way> ways, List<String> reasons, @Nullable Coming coming, List<String> backups) {

    /** A kind of file: where it goes out, and where it comes in. */
    public record Way(String title, String help, String out, String in, Field file) {}

    /**
     * @param changes by what they are about
     * @param mark of what is shown: what counts has to be the same
     */
    public record Coming(List<Change> changes, Effect effect, String mark) {}

    public record Change(String about, List<String> sentences) {}
}
