package gastfreund.app.journal;

import java.util.Locale;

/**
 * Who did something.
 *
 * @param name the mail address of a host; empty for everybody else
 */
public record Actor(Kind kind, String name) {

    /** The kinds of those who do something. */
    public enum Kind {
        GUEST,
        /** What happens by itself. */
        HOUSE,
        GATEWAY,
        HOST
    }

    public static final Actor GUEST = new Actor(Kind.GUEST, "");
    public static final Actor HOUSE = new Actor(Kind.HOUSE, "");
    public static final Actor GATEWAY = new Actor(Kind.GATEWAY, "");

    public Actor {
        if ((kind == Kind.HOST) == name.isEmpty()) {
            throw new IllegalArgumentException("only a host has a name");
        }
    }

    /** @param email of the host */
    public static Actor host(String email) {
        return new Actor(Kind.HOST, email);
    }

    public boolean isGuest() {
        return kind == Kind.GUEST;
    }

    /** As tables write it; a mail address is never one of the other words. */
    public String code() {
        return kind == Kind.HOST ? name : kind.name().toLowerCase(Locale.ROOT);
    }

    public static Actor ofCode(String code) {
        return switch (code) {
            case "guest" -> GUEST;
            case "house" -> HOUSE;
            case "gateway" -> GATEWAY;
            default -> host(code);
        };
    }
}
