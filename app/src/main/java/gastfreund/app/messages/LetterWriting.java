package gastfreund.app.messages;

/** Whoever knows what the facts of letters mean. */
public interface LetterWriting {

    /** Whether it writes letters of a kind; for each kind there is one that does. */
    boolean writes(String kind);

    /** Writes a letter that is about to go out. */
    Written write(Letter letter);
}
