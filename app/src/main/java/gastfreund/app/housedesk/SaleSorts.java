package gastfreund.app.housedesk;

import gastfreund.app.editing.Sort;
import gastfreund.app.editing.Sorts;
import java.util.regex.Pattern;

/** How members of what is sold without a time are written and read. */
final class SaleSorts {

    private static final Pattern BETWEEN = Pattern.compile("[;/ ]++|,(?!\\d\\d(?!\\d))\\s*+");

    /** Where it is handed over. */
    static final Sort HANDOVER = Sorts.word("house", "booking");

    /** Amounts: {@code 25.00, 50.00}; a comma before two figures is one of an amount. */
    static final Sort AMOUNTS = new Sorts.Each(BETWEEN, Sort.AMOUNT, Sort.LINE.most());

    private SaleSorts() {}
}
