package gastfreund.app.baskets;

/** What became of a wish to keep a place. */
public sealed interface Kept {

    /** The place is held in this basket. */
    record Held(String basket) implements Kept {}

    /** Somebody else has it now, or it was never one. */
    record Gone() implements Kept {}

    /** It is free, at a higher price than was shown. */
    record Dearer() implements Kept {}

    /** The basket is full. */
    record TooMany(String basket) implements Kept {}
}
