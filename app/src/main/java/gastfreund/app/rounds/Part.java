package gastfreund.app.rounds;

/** A part of the house of which can be told whether it does what it should. */
public interface Part {

    /** Its name in messages and measures. */
    String code();

    /** How it goes now. */
    Condition condition();
}
