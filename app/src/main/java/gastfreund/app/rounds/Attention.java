package gastfreund.app.rounds;

/** A room in which something can wait for a host to look at it; the desk shows on every page how much there is. */
public interface Attention {

    /** How many things wait for a host. */
    int waiting();

    /** Whether it is an answer that they wait for, and not that something is mended. */
    default boolean isAnswer() {
        return false;
    }
}
