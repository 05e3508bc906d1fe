package gastfreund.app.offerdesk;

import gastfreund.app.editing.Part;
import gastfreund.app.effects.Effect;
import gastfreund.app.household.HouseholdPage;
import gastfreund.app.openings.Panel;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pages.Tab;
import gastfreund.app.pictures.PictureField;
import gastfreund.core.offers.Offer;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the editor of an offer shows.
 *
 * @param address of the page
 * @param fresh whether it is not kept yet at all
 * @param tab the one that is open
 * @param tabs all of them
 * @param parts the sentences of the tab
 * @param asked the names of what can be ticked in it
 * @param ladder what cancelling costs; null on other tabs
 * @param pictures none on other tabs
 * @param hours the address of its hours; empty before it is kept
 * @param front the guests' page of it; empty where it has none
 * @param questions as guests are asked them; none on other tabs
 * @param ending what can be done to end it; null before it is kept
 */
public record OfferEditorPage(
        String title,
        String address,
        boolean fresh,
        List<Note> notes,
        String tab,
        List<Tab> tabs,
        List<Part> parts,
        List<String> asked,
        @Nullable Ladder ladder,
        List<PictureField> pictures,
        String hours,
        String front,
        Preview preview,
        List<Field> questions,
        HouseholdPage.@Nullable Ending ending,
        Effect effect) {

    /**
     * The guest's own panel, as it would be.
     *
     * @param offer null where something is wrong that has to be put right first
     * @param panel null where it is retired, or something is wrong
     */
    public record Preview(
            String title,
            String summary,
            String picture,
            @Nullable Offer offer,
            @Nullable Panel panel,
            String address) {}
}
