package gastfreund.app.pages;

/**
 * One of the parts in which a page is shown.
 *
 * @param here whether it is the one that is open
 */
public record Tab(String words, String address, boolean here) {}
