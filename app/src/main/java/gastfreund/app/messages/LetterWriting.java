package gastfreund.app.messages;

/** Whoever knows what the facts of letters mean. */
public interface LetterWriting {

    /** Writes a letter that is about to go out. */
    Written write(Letter letter);
}
