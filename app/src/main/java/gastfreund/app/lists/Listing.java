package gastfreund.app.lists;

import gastfreund.app.languages.Formats;
import java.util.List;

/** A list that filters as one types, with columns that are chosen: of orders, or of payments. */
interface Listing {

    /**
     * A row.
     *
     * @param id by which the list goes on
     * @param order the number of its order
     * @param shown the values of all columns, as people read them
     * @param plain the same, as programs read them
     */
    record Row(long id, long order, List<String> shown, List<String> plain) {}

    /** Its name in addresses and texts. */
    String name();

    Columns columns();

    /** The states that can be looked for. */
    List<String> states();

    /** The beginning of the keys of their names. */
    String stateKey();

    /** The ways of paying that can be looked for; nothing where there are none. */
    List<String> ways();

    /** Whether money and sources can be looked for. */
    boolean isOfOrders();

    /**
     * What is found, the last one first.
     *
     * @param before only what has smaller ids
     */
    List<Row> rows(Looked looked, long before, int most, Formats f);

    /** What all of it comes to, in words. */
    String sums(Looked looked, Formats f);
}
