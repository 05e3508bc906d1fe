package gastfreund.app.orders;

/** What became of a wish to change something about an order. */
public enum Outcome {
    DONE,
    /** It costs something else by now than was shown, or has changed meanwhile; nothing was done. */
    CHANGED
}
