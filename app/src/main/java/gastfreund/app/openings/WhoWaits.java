package gastfreund.app.openings;

import java.time.LocalDate;

/** Whoever looks after those who wait for something to come free: they get it before it is given to anybody else. */
public interface WhoWaits {

    /**
     * Gives those who wait what has come free on a date and those beside it; belongs into the transaction in which something
     * of that date is about to be given to somebody else.
     */
    void serve(LocalDate date);
}
