package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * What the house wants of a promo code beside what the core knows.
 *
 * @param perGuest how often one guest can use it, told by mail address; 0: as often as they like
 */
public record CodeRules(int perGuest) {

    private static final int MOST = 1000;
    private static final CodeRules NONE = new CodeRules(0);

    public static CodeRules none() {
        return NONE;
    }

    static CodeRules of(Node extra) {
        return new CodeRules(extra.integer("perGuest", 1, MOST, 0));
    }

    /** Whether somebody who has used it so often can use it once more. */
    public boolean allows(int used) {
        return perGuest == 0 || used < perGuest;
    }
}
