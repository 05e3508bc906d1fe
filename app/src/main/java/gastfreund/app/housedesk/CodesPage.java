package gastfreund.app.housedesk;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * The list of promo codes.
 *
 * @param more how many there are beside those shown, in words; empty: none
 * @param one the fields for a new one
 * @param many the fields for many at once
 * @param file where all of them are had as a file, as the list is searched
 */
public record CodesPage(
        List<Note> notes, Field search, List<Row> rows, String more, List<Field> one, List<Field> many, String file) {

    /** @param draft whether it has changes that are not kept */
    public record Row(String code, String address, String what, String brought, boolean draft) {}
}
