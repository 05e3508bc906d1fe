package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * How long the house and its guests wait for each other.
 *
 * @param holdMinutes for how long a place is kept in a basket
 * @param answerHours in how many hours a request is answered, or lapses
 */
public record Waits(int holdMinutes, int answerHours) {

    private static final int HOLD = 15;
    private static final int MOST_HOLD = 240;
    private static final int ANSWER = 24;
    private static final int MOST_ANSWER = 720;

    static Waits of(Node extra) {
        return extra.member("waits")
                .map(waits -> waits.object("holdMinutes", "answerHours"))
                .map(waits -> new Waits(
                        waits.integer("holdMinutes", 1, MOST_HOLD, HOLD),
                        waits.integer("answerHours", 1, MOST_ANSWER, ANSWER)))
                .orElse(new Waits(HOLD, ANSWER));
    }
}
