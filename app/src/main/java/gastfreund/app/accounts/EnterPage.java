package gastfreund.app.accounts;

import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the page shows on which guests get into their account.
 *
 * @param why why they are asked to, in words
 * @param link for the link by mail
 * @param password for the password
 * @param open whether the password was tried
 * @param leadsTo the path on which it goes on
 */
public record EnterPage(List<Note> notes, String why, Field link, List<Field> password, boolean open, String leadsTo) {}
