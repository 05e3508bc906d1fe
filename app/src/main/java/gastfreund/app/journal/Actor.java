package gastfreund.app.journal;

import java.util.Locale;

/**
 * Who did something.
 *
 * @param name the mail address of a host, or what the house calls a program; empty for everybody else
 */
public record Actor(Kind kind, String name) {

    /** The kinds of those who do something. */
    public enum Kind {
        GUEST,
        /** What happens by itself. */
        HOUSE,
        GATEWAY,
        HOST,
        /** Another program with a key of the house, for a guest of its own. */
        PROGRAM
    }

    private static final String PROGRAM = "program ";

    public static final Actor GUEST = new Actor(Kind.GUEST, "");
    public static final Actor HOUSE = new Actor(Kind.HOUSE, "");
    public static final Actor GATEWAY = new Actor(Kind.GATEWAY, "");

    public Actor {
        if ((kind == Kind.HOST || kind == Kind.PROGRAM) == name.isEmpty()) {
            throw new IllegalArgumentException("only hosts and programs have a name");
        }
    }

    /** @param email of the host */
    public static Actor host(String email) {
        return new Actor(Kind.HOST, email);
    }

    /** @param name what the house calls it */
    public static Actor program(String name) {
        return new Actor(Kind.PROGRAM, name);
    }

    public boolean isGuest() {
        return kind == Kind.GUEST;
    }

    /** Whether it is a guest, or a program that acts for one. */
    public boolean isForGuest() {
        return kind == Kind.GUEST || kind == Kind.PROGRAM;
    }

    /** As tables write it; a mail address is never one of the other words, and has no blank in it. */
    public String code() {
        return switch (kind) {
            case HOST -> name;
            case PROGRAM -> PROGRAM + name;
            case GUEST, HOUSE, GATEWAY -> kind.name().toLowerCase(Locale.ROOT);
        };
    }

    public static Actor ofCode(String code) {
        return switch (code) {
            case "guest" -> GUEST;
            case "house" -> HOUSE;
            case "gateway" -> GATEWAY;
            default -> code.startsWith(PROGRAM) ? program(code.substring(PROGRAM.length())) : host(code);
        };
    }
}
