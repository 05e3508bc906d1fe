package gastfreund.app.bookings;

import gastfreund.core.bookings.Booked;
import gastfreund.core.bookings.Booking;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.bookings.Busy;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.AddOn;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.time.Interval;
import gastfreund.core.time.Minutes;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads what takes time, as far as it can touch a stretch of it. */
@Repository
public class BookedStore {

    /**
     * For a statement about {@code bookings b}: that it takes place, or is kept at {@code :now}, between {@code :from} and
     * {@code :to}. It reaches back by the longest booking that does.
     */
    public static final String TOUCHING =
            """
            b.start_at > :from - max(
                (SELECT coalesce(max(end_at - start_at), 0) FROM bookings
                 WHERE status IN ('requested', 'confirmed', 'completed', 'no-show')),
                (SELECT coalesce(max(end_at - start_at), 0) FROM bookings WHERE status = 'held' AND expires_at > :now))
            AND b.start_at < :to
            AND b.end_at > :from
            AND (b.status IN ('requested', 'confirmed', 'completed', 'no-show') OR b.status = 'held' AND b.expires_at > :now)
            """;

    private final JdbcClient jdbc;

    BookedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What takes time at {@code now}; places that are no longer kept do not. */
    public Booked touching(Interval reach, Instant now) {
        return Booked.of(bookings(reach, now), busy(reach));
    }

    /**
     * What stood, and when it was booked.
     *
     * @param booked when its place was kept
     */
    public record Past(Reserved reserved, Instant booked) {}

    /** What stands of an offer and begins in a stretch of time, the end of which is not part of it. */
    public List<Past> ofOffer(OfferId offer, Interval within) {
        return jdbc.sql("SELECT b.held_at, " + BookingStore.RESERVED
                        + " FROM bookings b WHERE b.offer = :offer AND b.start_at >= :from AND b.start_at < :to"
                        + " AND b.status IN ('confirmed', 'completed', 'no-show') ORDER BY b.start_at, b.id")
                .param("offer", offer.value())
                .param("from", within.start() * 60)
                .param("to", within.end() * 60)
                .query((row, number) ->
                        new Past(BookingStore.reserved(row), Instant.ofEpochSecond(row.getLong("held_at"))))
                .list();
    }

    /**
     * How many of an add-on lie in an offer's bookings, and in the places that are kept at {@code now}; for each person where
     * it is sold so.
     *
     * @param without whose booking does not count; null: all count
     */
    public int added(OfferId offer, AddOn addOn, @Nullable BookingId without, Instant now) {
        return jdbc.sql(
                        """
                        SELECT coalesce(sum(a.value * CASE WHEN :each THEN b.party ELSE 1 END), 0)
                        FROM bookings b, json_each(b.add_ons) a
                        WHERE b.offer = :offer AND b.add_ons <> '{}' AND a.key = :addOn AND b.id <> :without
                          AND (b.status IN ('requested', 'confirmed', 'completed', 'no-show')
                               OR b.status = 'held' AND b.expires_at > :now)
                        """)
                .param("each", addOn.per() == AddOn.Per.PERSON)
                .param("offer", offer.value())
                .param("addOn", addOn.id().value())
                .param("without", without == null ? "" : without.value())
                .param("now", now.getEpochSecond())
                .query(Integer.class)
                .single();
    }

    private List<Booking> bookings(Interval reach, Instant now) {
        return jdbc.sql("SELECT b.status, b.expires_at, " + BookingStore.RESERVED + " FROM bookings b WHERE " + TOUCHING
                        + " ORDER BY b.start_at, b.id")
                .param("from", reach.start() * 60)
                .param("to", reach.end() * 60)
                .param("now", now.getEpochSecond())
                .query(BookedStore::booking)
                .list();
    }

    private static Booking booking(ResultSet row, int number) throws SQLException {
        long start = row.getLong("start_at") / 60;
        long expires = row.getLong("expires_at");
        boolean expiring = !row.wasNull();
        String place = row.getString("place");
        return new Booking(
                new BookingId(row.getString("id")),
                new OfferId(row.getString("offer")),
                start,
                Minutes.of(row.getLong("end_at") / 60 - start),
                BookingStore.staff(row),
                place == null ? null : new PlaceId(place),
                row.getInt("party"),
                BookingStatus.ofCode(row.getString("status")),
                expiring ? Instant.ofEpochSecond(expires) : null,
                Map.of());
    }

    private List<Busy> busy(Interval reach) {
        return jdbc.sql("SELECT staff, start_at, end_at FROM busy WHERE end_at > ? AND start_at < ?")
                .params(reach.start() * 60, reach.end() * 60)
                .query((row, n) -> new Busy(
                        new StaffId(row.getString("staff")),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60)))
                .list();
    }
}
