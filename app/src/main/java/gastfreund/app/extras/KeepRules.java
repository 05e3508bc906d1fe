package gastfreund.app.extras;

import gastfreund.housefile.Node;

/**
 * How long the house keeps what it has of its guests, as a house file keeps it in the house's {@code extra.keeping}.
 *
 * @param guestMonths how many months after their last booking guests' data go
 * @param documentYears for how many years the law asks for receipts
 * @param backupDays for how many days nightly backups are kept; 0: none is taken
 */
public record KeepRules(int guestMonths, int documentYears, int backupDays) {

    static KeepRules of(Node extra) {
        return extra.member("keeping")
                .map(keeping -> keeping.object("guestMonths", "documentYears", "backupDays"))
                .map(keeping -> new KeepRules(
                        keeping.integer("guestMonths", 1, 240, 36),
                        keeping.integer("documentYears", 1, 50, 10),
                        keeping.integer("backupDays", 0, 365, 14)))
                .orElse(new KeepRules(36, 10, 14));
    }
}
