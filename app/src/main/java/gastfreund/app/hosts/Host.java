package gastfreund.app.hosts;

import gastfreund.app.journal.Actor;
import java.util.Locale;

/**
 * A person who signs in at the desk.
 *
 * @param password hashed
 * @param epoch raised when their sessions are to end
 * @param language in which they are written to
 * @param person the id of whom among the house's people they are; empty: none of them
 */
public record Host(
        long id, String email, String name, String password, Role role, int epoch, Locale language, String person) {

    public boolean may(Right right) {
        return role.may(right);
    }

    public Actor actor() {
        return Actor.host(email);
    }
}
