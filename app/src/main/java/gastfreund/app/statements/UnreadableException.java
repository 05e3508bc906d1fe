package gastfreund.app.statements;

/** A file is no statement that can be read; the message is the key of why. */
final class UnreadableException extends Exception {

    private static final long serialVersionUID = 1;

    UnreadableException(String key) {
        super(key);
    }

    /** The key of why it cannot be read. */
    String key() {
        return String.valueOf(getMessage());
    }
}
