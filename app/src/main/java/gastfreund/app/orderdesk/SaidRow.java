package gastfreund.app.orderdesk;

/**
 * Something that was said between the house and a guest, in words.
 *
 * @param when the moment
 * @param who said it
 * @param title of a letter, or what a message is about; empty: nothing
 * @param words empty where they are not kept, or not written yet
 * @param state what came of it; empty: nothing special
 * @param fromGuest whether the guest said it
 * @param fresh whether nobody at the desk has seen it
 */
public record SaidRow(
        String when, String who, String title, String words, String state, boolean fromGuest, boolean fresh) {}
