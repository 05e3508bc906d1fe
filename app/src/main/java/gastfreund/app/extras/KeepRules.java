package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * How long the house keeps what it has of its guests, as a house file keeps it in the house's {@code extra.keeping}.
 *
 * @param guestMonths how many months after their last booking guests' data go
 * @param documentYears for how many years the law asks for receipts
 */
public record KeepRules(int guestMonths, int documentYears) {

    static KeepRules of(Node extra) {
        return extra.member("keeping")
                .map(keeping -> keeping.object("guestMonths", "documentYears"))
                .map(keeping -> new KeepRules(
                        keeping.integer("guestMonths", 1, 240, 36), keeping.integer("documentYears", 1, 50, 10)))
                .orElse(new KeepRules(36, 10));
    }
}
