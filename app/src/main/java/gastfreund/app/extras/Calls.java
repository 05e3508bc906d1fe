package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * What guests call what the house has; empty: the product's own words.
 *
 * @param offers as a heading over all of them
 * @param people as a question whom somebody wants
 * @param places as a question which one somebody wants
 */
public record Calls(String offers, String people, String places) {

    static Calls of(Node extra) {
        return extra.member("calls")
                .map(calls -> calls.object("offers", "people", "places"))
                .map(calls -> new Calls(
                        calls.textOrBlank("offers"), calls.textOrBlank("people"), calls.textOrBlank("places")))
                .orElse(new Calls("", "", ""));
    }
}
