package gastfreund.app.pages;

import java.util.regex.Pattern;

/** Where boards, lists, and what waits lie; nothing else is an address to which something that was done there leads back. */
public final class BoardAddress {

    private static final Pattern BOARD =
            Pattern.compile("/desk(?:/waits|/bookings|/lists/orders|/lists/payments)?(?:\\?[\\w=&%.+-]*+)?");

    private BoardAddress() {}

    /** The same where it is the address of a board; empty else. */
    public static String of(String address) {
        return BOARD.matcher(address).matches() ? address : "";
    }

    /** Leads back to a board, or else to a page, with a word for what was done. */
    public static String back(String board, String otherwise, String said) {
        String known = of(board);
        return "redirect:" + with(known.isEmpty() ? otherwise : known, "said", said);
    }

    /** The address of a board with a word for what was done. */
    public static String with(String board, String said, String what) {
        return board + (board.contains("?") ? "&" : "?") + said + "=" + what;
    }
}
