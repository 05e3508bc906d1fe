package gastfreund.app.pictures;

/** What became of a picture that was sent. */
public sealed interface Taken {

    /** Why it was not taken, as an address says it to {@link PictureField}; empty: it was. */
    default String why() {
        if (this instanceof In) {
            return "";
        }
        return this instanceof TooLarge ? "too-large" : this instanceof Undrawable ? "undrawable" : "unreadable";
    }

    /** @param name of its widest form, by which it is shown */
    record In(String name) implements Taken {}

    /** It is no picture that can be read here. */
    record Unreadable() implements Taken {}

    /** It is a drawing with more in it than shapes and colours, or of no size. */
    record Undrawable() implements Taken {}

    /** It has more points than anybody could see. */
    record TooLarge() implements Taken {}
}
