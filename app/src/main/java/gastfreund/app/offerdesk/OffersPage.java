package gastfreund.app.offerdesk;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the list of offers shows.
 *
 * @param whole whether nothing was searched for, so that the order can be changed
 * @param add what is asked of a new one
 */
public record OffersPage(
        List<Note> notes, List<Row> rows, List<Row> retired, Field search, boolean whole, List<Field> add) {

    /**
     * @param facts what it takes and costs
     * @param listing who finds it
     * @param draft whether something of it is not kept yet
     * @param fresh whether it was never kept
     */
    public record Row(
            String id,
            String title,
            String address,
            String facts,
            String category,
            String listing,
            boolean draft,
            boolean fresh) {}
}
