package gastfreund.app.lists;

/** A link. */
public record Way(String address, String words) {}
