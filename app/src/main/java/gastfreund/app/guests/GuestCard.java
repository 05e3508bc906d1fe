package gastfreund.app.guests;

import java.util.List;

/**
 * What the house keeps of a guest beside their orders.
 *
 * @param id 0 where nothing was noted yet
 * @param emails under which they book
 * @param orders the ids of orders without a mail address that are theirs
 */
public record GuestCard(long id, List<String> emails, List<Long> orders, List<String> tags, String note) {

    public boolean isMerged() {
        return emails.size() + orders.size() > 1;
    }
}
