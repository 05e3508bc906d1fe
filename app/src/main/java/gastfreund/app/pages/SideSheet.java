package gastfreund.app.pages;

import java.util.List;

/**
 * What is known of something that is selected, beside the picture in which it was.
 *
 * @param above small, above the title; empty: nothing
 * @param facts on one line; empty: none
 * @param ways where it goes on from here
 */
public record SideSheet(String above, String title, String what, String facts, List<Rung> sum, List<Way> ways) {

    /** @param first whether it is what most come for */
    public record Way(String address, String words, boolean first) {}
}
