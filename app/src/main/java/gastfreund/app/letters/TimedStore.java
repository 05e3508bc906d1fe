package gastfreund.app.letters;

import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps which letters before and after bookings have gone, and finds the bookings for which one may be due. */
@Repository
class TimedStore {

    static final int AT_ONCE = 500;

    /** What became of a letter. */
    enum State {
        /** It was put into the outbox. */
        PUT,
        /** It was of no use any more. */
        LATE,
        /** The booking was made after the moment at which it would have gone. */
        MADE_LATER;

        String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * A booking of which nothing is noted for a letter.
     *
     * @param made since when it is there with this start
     */
    record Candidate(BookingId booking, Interval time, Instant made) {}

    private final JdbcClient jdbc;

    TimedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Bookings of an offer that start after one instant and no later than another; those that are over already, too, so
     * that what became of a letter is noted whoever comes first after a long time without power.
     */
    List<Candidate> starting(OfferId offer, String letter, Instant after, Instant until, Instant now) {
        return candidates(
                "b.status IN ('confirmed', 'completed') AND b.start_at > :after AND b.start_at <= :until",
                "b.start_at",
                offer,
                letter,
                after,
                until,
                now);
    }

    /** Bookings of an offer to which somebody came, as far as is known, and that end from one instant to another. */
    List<Candidate> ending(OfferId offer, String letter, Instant after, Instant until, Instant now) {
        return candidates(
                "b.status IN ('confirmed', 'completed') AND b.end_at > :after AND b.end_at <= :until",
                "b.end_at",
                offer,
                letter,
                after,
                until,
                now);
    }

    /** @param order by which those come first that are due first, so that no other keeps them out */
    private List<Candidate> candidates(
            String which, String order, OfferId offer, String letter, Instant after, Instant until, Instant now) {
        return jdbc.sql("SELECT b.id, b.start_at, b.end_at, max(o.placed_at, coalesce(b.start_since, 0)) AS made"
                        + " FROM bookings b JOIN orders o ON o.id = b.order_id WHERE b.offer = :offer AND " + which
                        + " AND NOT EXISTS (SELECT 1 FROM timed_letters t WHERE t.booking = b.id AND t.letter = :letter"
                        + " AND t.start_at = b.start_at) AND "
                        + WorkStore.isReady(Kind.TIMED, "b.id || ' ' || :letter") + " ORDER BY " + order + " LIMIT "
                        + AT_ONCE)
                .param("offer", offer.value())
                .param("letter", letter)
                .param("after", after.getEpochSecond())
                .param("until", until.getEpochSecond())
                .param("now", now.getEpochSecond())
                .query((row, n) -> new Candidate(
                        new BookingId(row.getString("id")),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                        Instant.ofEpochSecond(row.getLong("made"))))
                .list();
    }

    /** Notes what became of a letter; false where something is noted already. */
    boolean note(BookingId booking, String letter, long start, State state, Instant now) {
        return jdbc.sql(
                                "INSERT INTO timed_letters (booking, letter, start_at, state, at) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING")
                        .params(booking.value(), letter, start * 60, state.code(), now.getEpochSecond())
                        .update()
                == 1;
    }
}
