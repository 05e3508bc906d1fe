package gastfreund.app.hosts;

/** What somebody at the desk may do. Every handler of the desk names the one that it needs. */
public enum Right {
    /** Seeing the board, and of orders those that are one's own or of what one serves. */
    SEE,
    /** Seeing all orders and bookings. */
    SEE_ALL,
    /** Saying yes or no to requests. */
    ANSWER,
    /** Moving bookings, at no lower price than they had. */
    MOVE,
    /** Booking for guests by hand, at no lower price than they would find. */
    BOOK,
    /** Noting who came, and what the house keeps in mind of a booking. */
    NOTE,
    /** Writing to guests. */
    WRITE,
    /** Noting money that was paid on the spot, and what lies in the drawer. */
    TAKE_MONEY,
    /** Giving money back: refunds, cancellations, cheaper moves, vouchers that are taken back. */
    GIVE_MONEY,
    /** Noting transfers that came or were sent, and seeing to what does not get through. */
    SETTLE,
    /** Changing how guests pay. */
    WAYS,
    /** Seeing who signed in, and who tried. */
    SIGN_INS,
    /** Taking a guest's data out, and forgetting them. */
    GUEST_DATA,
    /** Changing what the house consists of: hours, people, things, places and offers. */
    SET_UP,
    /** Changing one's own hours, where the house lets people do so. */
    OWN_HOURS,
    /** Inviting hosts, saying what they may do, and ending their sessions. */
    ROLES,
    /** Taking the house out as files, and in again. */
    FILES,
    /** Seeing how the program and its file go. */
    WATCH,
    /** One's own password and sessions. */
    OWN_ACCOUNT
}
