package gastfreund.app.hosts;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;

/** Roles at the desk: each is a set of rights. */
public enum Role {
    STAFF(EnumSet.of(
            Right.SEE,
            Right.ANSWER,
            Right.MOVE,
            Right.BOOK,
            Right.NOTE,
            Right.WRITE,
            Right.TAKE_MONEY,
            Right.OWN_HOURS,
            Right.OWN_ACCOUNT)),
    MANAGER(EnumSet.complementOf(
            EnumSet.of(Right.WAYS, Right.SIGN_INS, Right.GUEST_DATA, Right.ROLES, Right.FILES, Right.WATCH))),
    OWNER(EnumSet.allOf(Right.class));

    private final Set<Right> rights;

    Role(Set<Right> rights) {
        this.rights = Set.copyOf(rights);
    }

    public boolean may(Right right) {
        return rights.contains(right);
    }

    /** The name in tables and messages. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Role ofCode(String code) {
        return valueOf(code.toUpperCase(Locale.ROOT));
    }
}
