package gastfreund.app.pictures;

/** What became of a picture that was sent. */
public sealed interface Taken {

    /** @param name of its widest form, by which it is shown */
    record In(String name) implements Taken {}

    /** It is no picture that can be read here. */
    record Unreadable() implements Taken {}

    /** It has more points than anybody could see. */
    record TooLarge() implements Taken {}
}
