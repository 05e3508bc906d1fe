package gastfreund.core.bookings;

/** Where a booking stands ({@code docs/money.md}, "Orders, payments, holds"). */
public enum BookingStatus {
    HELD("held"),
    REQUESTED("requested"),
    CONFIRMED("confirmed"),
    COMPLETED("completed"),
    NO_SHOW("no-show"),
    CANCELLED("cancelled"),
    DECLINED("declined"),
    LAPSED("lapsed");

    private final String code;

    BookingStatus(String code) {
        this.code = code;
    }

    /** The name in files and tables. */
    public String code() {
        return code;
    }

    /** @throws IllegalArgumentException where no status has the code */
    public static BookingStatus ofCode(String code) {
        for (BookingStatus status : values()) {
            if (status.code.equals(code)) {
                return status;
            }
        }
        throw new IllegalArgumentException("no booking status: " + code);
    }
}
