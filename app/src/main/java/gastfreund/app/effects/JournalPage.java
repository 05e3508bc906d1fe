package gastfreund.app.effects;

import gastfreund.app.pages.Note;
import java.util.List;

/**
 * What the journal of changes shows.
 *
 * @param older address of those before; empty: there are none
 */
public record JournalPage(List<Note> notes, List<Entry> entries, String older) {

    /**
     * What was kept together.
     *
     * @param keeping what is undone; 0: it cannot be any more
     * @param undone whether it undid something itself
     */
    public record Entry(String when, String who, List<Part> parts, long keeping, boolean undone) {}

    /** @param address of the page of what was changed; empty: there is none */
    public record Part(String name, String address, List<String> sentences) {}
}
