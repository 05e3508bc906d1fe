package gastfreund.app.catalogue;

/**
 * Something wrong in a document of the house.
 *
 * @param path of the member inside the document, as {@code hours.weekly[0].from}; empty: the document as a whole
 */
public record Fault(DocumentRef document, String path, String message) {}
