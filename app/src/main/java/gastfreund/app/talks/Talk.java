package gastfreund.app.talks;

import java.time.Instant;

/**
 * Something that was said with a guest.
 *
 * @param booking what it is about; empty: the order as a whole
 * @param fromGuest whether the guest said it, and not the house
 * @param who the name of the host; of a guest, the mail address from which it came where that is not the order's; empty: none
 * @param files how many came along and were not taken
 * @param seen whether somebody at the desk has seen it
 */
public record Talk(
        long id,
        long order,
        String booking,
        Instant at,
        boolean fromGuest,
        String who,
        String words,
        int files,
        boolean seen) {}
