package gastfreund.core.openings;

/** What of a query does not fit the offer at all, in the order in which it is checked. */
public enum Refusal {
    SERIES("series"),
    RETIRED("retired"),
    PARTY("party"),
    LENGTH("length"),
    UNITS("units"),
    ADD_ON("add-on"),
    STAFF("staff"),
    PLACE("place");

    private final String code;

    Refusal(String code) {
        this.code = code;
    }

    /** The name in answers. */
    public String code() {
        return code;
    }
}
