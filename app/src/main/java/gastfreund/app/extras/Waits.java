package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * How long the house and its guests wait for each other.
 *
 * @param holdMinutes for how long a place is kept in a basket
 * @param answerHours in how many hours a request is answered, or lapses
 * @param wishMinutes for how many minutes, quiet ones not counted, something is kept for whoever waited for it; 0: there is no
 *     waiting list
 */
public record Waits(int holdMinutes, int answerHours, int wishMinutes) {

    private static final int HOLD = 15;
    private static final int MOST_HOLD = 240;
    private static final int ANSWER = 24;
    private static final int MOST_ANSWER = 720;
    private static final int WISH = 240;
    private static final int MOST_WISH = 2880;

    static Waits of(Node extra) {
        return extra.member("waits")
                .map(waits -> waits.object("holdMinutes", "answerHours", "wishMinutes"))
                .map(waits -> new Waits(
                        waits.integer("holdMinutes", 1, MOST_HOLD, HOLD),
                        waits.integer("answerHours", 1, MOST_ANSWER, ANSWER),
                        waits.integer("wishMinutes", 0, MOST_WISH, WISH)))
                .orElse(new Waits(HOLD, ANSWER, WISH));
    }
}
