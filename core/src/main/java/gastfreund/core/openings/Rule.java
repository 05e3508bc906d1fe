package gastfreund.core.openings;

/** One thing that can stand against an attempt; rules are asked in the order of the definition's table. */
interface Rule {

    /** Adds to {@code reasons} what stands against the attempt, nothing where nothing does. */
    void check(Attempt attempt, Reasons reasons);
}
