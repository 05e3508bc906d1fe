package gastfreund.app.pages;

import gastfreund.app.languages.Words;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A few words above a page's content, which those are told who cannot see it.
 *
 * @param title what it begins with, set off; empty: nothing
 */
public record Note(Kind kind, String title, String words) {

    /** How much it matters. */
    public enum Kind {
        DONE,
        WARN,
        BAD;

        /** The class of its look. */
        public String look() {
            return this == WARN ? "warn" : this == BAD ? "bad" : "";
        }

        /** What is wrong is told at once, the rest when there is a pause. */
        public String role() {
            return this == DONE ? "status" : "alert";
        }
    }

    public static Note done(String words) {
        return new Note(Kind.DONE, "", words);
    }

    public static Note warn(String words) {
        return new Note(Kind.WARN, "", words);
    }

    public static Note bad(String words) {
        return new Note(Kind.BAD, "", words);
    }

    /** What came of what was just done, from a word in the address: one of the texts under {@code said.}. */
    public static Optional<Note> said(@Nullable String word, Words words) {
        if (word == null) {
            return Optional.empty();
        }
        return words.find("said." + word).map(text -> word.equals("changed") ? bad(text) : done(text));
    }
}
