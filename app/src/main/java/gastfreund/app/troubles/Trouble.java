package gastfreund.app.troubles;

/**
 * What does not get through, as it is kept in a letter.
 *
 * @param what a code: {@code refused}, {@code bounced}, {@code calendar}, or {@code stuck.} with the kind of what is stuck
 * @param about whom or what: a mail address, a calendar's name, an order's number; empty: nothing
 * @param why what was said; empty: nothing
 * @param order the number of the order that it is about; 0: none
 */
public record Trouble(String what, String about, String why, long order) {}
