package gastfreund.app.accounts;

/** Whoever asks is in no account. */
final class NotInException extends RuntimeException {

    private static final long serialVersionUID = 1L;
}
