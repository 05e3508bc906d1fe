package gastfreund.app.baskets;

/** What became of a wish to keep a place. */
public sealed interface Kept {

    /** The place is held in this basket. */
    record Held(String basket) implements Kept {}

    /** Somebody else has it now, or it was never one. */
    record Gone() implements Kept {}

    /** It is free, but of what is to come with it there is not so much. */
    record SoldOut() implements Kept {}

    /** It is free, at a higher price than was shown. */
    record Dearer() implements Kept {}

    /**
     * For one more place a moment's work is asked for, or a moment's patience without scripts.
     *
     * @param seal the one to be used again once the moment is over; empty: a new one
     */
    record NotYet(String seal) implements Kept {}

    /** Too much of the offer would be kept by those who have not paid. */
    record TooMuch() implements Kept {}

    /** The basket is full. */
    record TooMany(String basket) implements Kept {}
}
