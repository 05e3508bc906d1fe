package gastfreund.core.hours;

/** Who asks for openings: a guest at the front, or a host at the desk. */
public enum Audience {
    GUEST,
    DESK
}
