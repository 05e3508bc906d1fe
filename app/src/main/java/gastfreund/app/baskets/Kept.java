package gastfreund.app.baskets;

import gastfreund.app.pages.Links;

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
    record TooMany(String basket) implements Kept {

        String redirect() {
            return "redirect:" + new Links(basket).basketPage() + "?full";
        }
    }

    /** Why a place was not kept, for the address of the page that says it; empty: it was, or somebody else has it. */
    default String why() {
        if (this instanceof NotYet notYet) {
            return "&why=moment" + (notYet.seal().isEmpty() ? "" : "&sealed=" + notYet.seal());
        }
        if (this instanceof SoldOut) {
            return "&why=stock";
        }
        return this instanceof Dearer ? "&why=price" : this instanceof TooMuch ? "&why=share" : "";
    }

    /**
     * Where a wish to keep places leads.
     *
     * @param back the page on which they were chosen, with what was chosen
     */
    default String after(String back) {
        if (this instanceof Held held) {
            return "redirect:" + new Links(held.basket()).basketPage();
        }
        if (this instanceof TooMany full) {
            return full.redirect();
        }
        String why = why();
        return "redirect:" + back + (why.isEmpty() ? "&why=taken" : why);
    }
}
