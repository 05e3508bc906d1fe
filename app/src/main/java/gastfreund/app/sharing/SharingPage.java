package gastfreund.app.sharing;

import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * How the house stands on other people's websites.
 *
 * @param as inside a page, from a button, by a link
 * @param asHelp what that means
 * @param sites on which it may stand, in words
 * @param linesTitle where the lines belong
 * @param code the lines to copy
 * @param more what is for pages without scripts, paper, mails and chats
 * @param query what was said, as the parameters of an address
 * @param views how the preview can be looked at
 * @param view what of these is chosen
 * @param preview the address of a page with the panel in it
 * @param looks that are kept
 * @param keepLook the field for the name of another
 * @param sitesField the field in which sites are named
 * @param to the field for whoever gets the lines by mail
 * @param hidden all that was said, as fields, for the other forms of the page
 */
public record SharingPage(
        List<Note> notes,
        Field as,
        String asHelp,
        List<Clause> clauses,
        String sites,
        boolean onNone,
        String linesTitle,
        String code,
        More more,
        String query,
        Field views,
        String view,
        Preview preview,
        List<Kept> looks,
        Field keepLook,
        Field sitesField,
        Field to,
        List<Field> hidden) {

    /**
     * What is for pages without scripts, paper, mails and chats.
     *
     * @param pictured the code as a picture
     */
    public record More(String frame, String pictured, String onPaper, String signature, String chat) {}

    /**
     * A page with the panel in it.
     *
     * @param shown what stands in the line for its address
     * @param scripts whether it may have some
     */
    public record Preview(String address, String shown, boolean scripts) {}

    /** A look that is kept. */
    public record Kept(String name, String address, boolean here) {}
}
