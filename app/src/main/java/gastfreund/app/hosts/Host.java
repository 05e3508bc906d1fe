package gastfreund.app.hosts;

import gastfreund.app.journal.Actor;

/**
 * A person who signs in at the desk.
 *
 * @param password hashed
 * @param epoch raised when their sessions are to end
 */
public record Host(long id, String email, String name, String password, Role role, int epoch) {

    public boolean may(Right right) {
        return role.may(right);
    }

    public Actor actor() {
        return Actor.host(email);
    }
}
