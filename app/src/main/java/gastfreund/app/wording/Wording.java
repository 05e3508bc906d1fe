package gastfreund.app.wording;

/**
 * A letter in somebody's words, with tags.
 *
 * @param subject on one line
 * @param text blank lines make paragraphs
 */
public record Wording(String subject, String text) {}
