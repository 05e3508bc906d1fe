package gastfreund.app.letterdesk;

import gastfreund.app.pages.Clause;
import gastfreund.app.pages.Field;
import gastfreund.app.pages.Note;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The letters along the life of a booking, and the one that is chosen.
 *
 * @param offers for which they are looked at
 * @param line those with a place on the line
 * @param others those that go if something happens
 */
public record LettersPage(List<Note> notes, List<Choice> offers, List<Knot> line, List<Choice> others, Chosen chosen) {

    /**
     * Something that can be chosen.
     *
     * @param aside small beside it; empty: nothing
     */
    public record Choice(String address, String words, String aside, boolean here) {}

    /**
     * A letter on the line.
     *
     * @param x its middle, of 1200
     * @param under what happens there
     * @param off whether it does not go
     * @param hours how long before or after, where it can be moved; -1: it cannot
     * @param way {@code before} or {@code after}
     */
    public record Knot(
            String address,
            int x,
            String title,
            String aside,
            String under,
            boolean off,
            boolean here,
            long hours,
            String way) {

        Knot at(long howLong, String side) {
            return new Knot(address, x, title, aside, under, off, here, howLong, side);
        }
    }

    /**
     * The letter that is chosen.
     *
     * @param fields its subject and text
     * @param languages in which it can be written
     * @param tags what can be put into it
     * @param own whether it is in the house's or the offer's own words
     * @param removable whether it can be taken away as a whole
     * @param preview as a guest gets it; null: there is no booking yet, or its words cannot be read
     */
    public record Chosen(
            String title,
            List<Clause> clauses,
            List<Field> fields,
            List<Choice> languages,
            List<Tag> tags,
            boolean own,
            boolean removable,
            String back,
            List<Field> hidden,
            @Nullable Preview preview) {

        Chosen with(Preview shown) {
            return new Chosen(title, clauses, fields, languages, tags, own, removable, back, hidden, shown);
        }
    }

    /** @param written as it is put into a text */
    public record Tag(String written, String words) {}

    /**
     * @param who gets it, and when
     * @param narrow whether it is shown as on a telephone
     * @param message the text message; null: none goes
     * @param html the part of the mail that is shown; by its token, once it can be asked for in a frame
     */
    public record Preview(
            String who, String subject, String html, boolean narrow, String text, @Nullable Message message) {}

    /** @param parts in how many parts it goes, in words */
    public record Message(String text, String parts) {}

    /** The same with a mail that is asked for in a frame. */
    LettersPage framed(String token) {
        Preview shown = Objects.requireNonNull(chosen.preview());
        return new LettersPage(
                notes,
                offers,
                line,
                others,
                chosen.with(new Preview(
                        shown.who(), shown.subject(), token, shown.narrow(), shown.text(), shown.message())));
    }
}
