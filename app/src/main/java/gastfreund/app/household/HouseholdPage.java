package gastfreund.app.household;

import gastfreund.app.effects.Effect;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import gastfreund.app.pictures.PictureField;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a person, a thing or a place shows.
 *
 * @param address of the page
 * @param fresh whether it is not kept yet at all
 * @param picture of a person; null of others
 * @param serves what a person serves; empty of others
 * @param servesIds the ids of these offers, so that what is not ticked can be told from what was not asked
 * @param hours the address of their hours; empty before they are kept
 * @param ending what can be done to end it; null before it is kept
 */
public record HouseholdPage(
        String title,
        String address,
        boolean fresh,
        List<Note> notes,
        List<Field> fields,
        @Nullable PictureField picture,
        List<Serves.Row> serves,
        List<String> servesIds,
        String hours,
        @Nullable Ending ending,
        Effect effect) {

    /**
     * Retiring, coming back, or deleting.
     *
     * @param words what happens
     * @param warnings what it means for the house; empty: nothing
     */
    public record Ending(boolean retired, boolean deletable, String words, List<String> warnings) {}

    /**
     * All of the house.
     *
     * @param groups people, things and places
     * @param getsIt who gets it where a guest does not care, offer by offer
     * @param ownHours whether people set their own hours
     */
    public record Index(
            List<Note> notes,
            List<Group> groups,
            List<Field> getsIt,
            Field ownHours,
            String effectAddress,
            Effect effect) {}

    /** @param add the field for the name of a new one */
    public record Group(String kind, String title, String help, List<Row> rows, List<Row> retired, Field add) {}

    /** @param draft whether something of it is not kept yet */
    public record Row(String name, String address, String facts, boolean draft) {}
}
