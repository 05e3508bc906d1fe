package gastfreund.app.wording;

/**
 * A letter in somebody's words, with tags.
 *
 * @param subject on one line
 * @param text blank lines make paragraphs
 * @param message what a text message says; empty: what ours says
 */
public record Wording(String subject, String text, String message) {}
