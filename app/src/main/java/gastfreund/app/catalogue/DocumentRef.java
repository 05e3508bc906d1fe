package gastfreund.app.catalogue;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Which document of the house is meant.
 *
 * @param id as in the house file; a promo code's is its code; that of the house itself is {@code house}
 */
public record DocumentRef(Kind kind, String id) {

    /** What documents are about. */
    public enum Kind {
        HOUSE,
        PLACES,
        STAFF,
        RESOURCES,
        OFFERS,
        PROMO_CODES;

        /** The name in tables and addresses. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }

        public static Optional<Kind> ofCode(String code) {
            return Arrays.stream(values()).filter(k -> k.code().equals(code)).findFirst();
        }

        /** The member of a house file in which they stand. */
        public String inFile() {
            return this == PROMO_CODES ? "promoCodes" : code();
        }

        /** The member that tells one from the others. */
        public String idMember() {
            return this == PROMO_CODES ? "code" : "id";
        }
    }

    public static final DocumentRef HOUSE = new DocumentRef(Kind.HOUSE, "house");

    public static DocumentRef staff(String id) {
        return new DocumentRef(Kind.STAFF, id);
    }

    public static DocumentRef offer(String id) {
        return new DocumentRef(Kind.OFFERS, id);
    }
}
