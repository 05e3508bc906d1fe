package gastfreund.app.hosts;

/**
 * A person who signs in at the desk.
 *
 * @param password hashed
 * @param role {@code owner}, {@code manager} or {@code staff}
 */
public record Host(long id, String email, String name, String password, String role) {}
