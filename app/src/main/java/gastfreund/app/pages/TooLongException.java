package gastfreund.app.pages;

import java.io.IOException;

/** A body turned out to be longer than is read. */
public final class TooLongException extends IOException {

    private static final long serialVersionUID = 1L;

    public TooLongException() {
        super("the body is too long");
    }
}
