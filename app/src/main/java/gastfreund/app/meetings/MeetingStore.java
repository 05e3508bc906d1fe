package gastfreund.app.meetings;

import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.WorkStore;
import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps the links of bookings that take place online. */
@Repository
class MeetingStore {

    /** A booking that has no link yet. */
    record Wanted(BookingId booking, OfferId offer, Interval time) {}

    private final JdbcClient jdbc;

    MeetingStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<String> link(BookingId booking) {
        return jdbc.sql("SELECT link FROM meetings WHERE booking = ?")
                .param(booking.value())
                .query(String.class)
                .optional();
    }

    /** Confirmed bookings at some places that have not ended and have no link. */
    List<Wanted> wanted(Set<PlaceId> places, Instant now) {
        return places.isEmpty()
                ? List.of()
                : jdbc.sql("SELECT b.id, b.offer, b.start_at, b.end_at FROM bookings b WHERE b.status = 'confirmed'"
                                + " AND b.end_at > :now AND b.place IN (:places)"
                                + " AND NOT EXISTS (SELECT 1 FROM meetings m WHERE m.booking = b.id)"
                                + " AND " + WorkStore.isReady(Kind.MEETING, "b.id") + " ORDER BY b.start_at LIMIT 50")
                        .param("now", now.getEpochSecond())
                        .param("places", places.stream().map(PlaceId::value).toList())
                        .query((row, n) -> new Wanted(
                                new BookingId(row.getString("id")),
                                new OfferId(row.getString("offer")),
                                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60)))
                        .list();
    }

    void put(BookingId booking, String link, Instant now) {
        jdbc.sql("INSERT INTO meetings (booking, link, made_at) VALUES (?, ?, ?) ON CONFLICT DO NOTHING")
                .params(booking.value(), link, now.getEpochSecond())
                .update();
    }
}
