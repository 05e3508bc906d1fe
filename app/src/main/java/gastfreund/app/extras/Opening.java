package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * Whether guests can book at the house.
 *
 * @param words what guests are told where they cannot; empty: nothing of the house's own
 */
public record Opening(To to, String words) {

    /** For whom it is open. */
    public enum To {
        EVERYBODY,
        /** While it is made. */
        HOSTS,
        /** For now. */
        NOBODY
    }

    static Opening of(Node extra) {
        String to = extra.word("opening", new String[] {"everybody", "hosts", "nobody"}, "everybody");
        return new Opening(
                to.equals("hosts") ? To.HOSTS : to.equals("nobody") ? To.NOBODY : To.EVERYBODY,
                extra.textOrBlank("closedWords"));
    }

    public boolean isForEverybody() {
        return to == To.EVERYBODY;
    }
}
