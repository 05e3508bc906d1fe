package gastfreund.app.housedesk;

import gastfreund.app.editing.Part;
import gastfreund.app.effects.Effect;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Tab;
import gastfreund.app.pictures.PictureField;
import java.util.List;

/**
 * What a sheet shows.
 *
 * @param address of the page
 * @param fresh whether it is not kept yet at all
 * @param tab the one that is open
 * @param tabs all of them; empty: there is but one
 * @param asked the names of what can be ticked in it
 * @param months for how long guests' data would be kept
 * @param sample whether it shows how the guests' pages look; their colours are in it
 */
public record SheetPage(
        String title,
        String address,
        boolean fresh,
        List<Note> notes,
        String tab,
        List<Tab> tabs,
        List<Part> parts,
        List<String> asked,
        List<PictureField> pictures,
        List<Sample> sample,
        int months,
        boolean deletable,
        Effect effect) {

    /** How a page looks, on paper or at night. */
    public record Sample(String ground, String ink, String main, String onMain) {}
}
