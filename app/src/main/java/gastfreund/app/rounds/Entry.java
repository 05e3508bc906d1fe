package gastfreund.app.rounds;

/**
 * Something that is to be done once.
 *
 * @param subject names it among those of its kind
 * @param work does it, in transactions of its own; what it throws is the reason why it is done again later
 */
public record Entry(String subject, Runnable work) {}
