package gastfreund.app.busytimes;

import gastfreund.core.offers.StaffId;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Another calendar of somebody who serves.
 *
 * @param address empty: it is a file
 * @param name of the file, or of the server
 * @param readAt when it was last read in full, or was found to be as it was; null: never yet
 * @param failingAt since when it cannot be read; null: it can
 * @param error why it could not be read the last time, as a code; empty: it could
 * @param etag what the server called the version that was read; empty: nothing
 * @param modified when it was changed, as the server said; empty: it did not
 * @param occurrences how many events were read in all their dates
 * @param unread how many could not be understood
 * @param zones names of zones that nobody knows, with commas between them
 */
public record Source(
        long id,
        StaffId staff,
        String address,
        String name,
        @Nullable Instant readAt,
        @Nullable Instant failingAt,
        String error,
        String etag,
        String modified,
        int occurrences,
        int unread,
        String zones) {

    public boolean isFile() {
        return address.isEmpty();
    }
}
