package gastfreund.app.figures;

import java.time.Instant;

/**
 * Which bookings count: those that begin in a stretch of time and are over.
 *
 * @param from inclusive
 * @param to exclusive
 * @param now when their time has to be over
 * @param offer only of this offer; empty: of all
 * @param person only served by this person; empty: by whomever
 */
record Asked(Instant from, Instant to, Instant now, String offer, String person) {

    boolean isOfAll() {
        return offer.isEmpty() && person.isEmpty();
    }
}
