package gastfreund.app.backups;

/** A file that is no backup that can be put back, or a folder into which none can be put; its message says why. */
public final class UnfitBackupException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    UnfitBackupException(String why) {
        super(why);
    }

    UnfitBackupException(String why, Throwable cause) {
        super(why, cause);
    }
}
