package gastfreund.app.feeds;

import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.time.Interval;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps the addresses of feeds, and reads the bookings that go into them. */
@Repository
class FeedStore {

    private static final int MOST = 5000;

    /**
     * A booking in a feed.
     *
     * @param place its id; null where it has none
     * @param token of its order's page
     */
    record Booked(
            String id,
            OfferId offer,
            Interval time,
            BookingStatus status,
            int moves,
            int party,
            @Nullable String place,
            String guest,
            long number,
            String token) {}

    private final JdbcClient jdbc;

    FeedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Feed> byToken(String token) {
        return jdbc.sql("SELECT kind, subject FROM feeds WHERE token = ?")
                .param(token)
                .query((row, n) -> new Feed(
                        Feed.Kind.valueOf(row.getString("kind").toUpperCase(Locale.ROOT)), row.getString("subject")))
                .optional();
    }

    Optional<String> token(Feed feed) {
        return jdbc.sql("SELECT token FROM feeds WHERE kind = ? AND subject = ?")
                .params(feed.kind().code(), feed.subject())
                .query(String.class)
                .optional();
    }

    /** Gives a feed an address in place of the one that it had. */
    void put(Feed feed, String token, Instant now) {
        jdbc.sql("DELETE FROM feeds WHERE kind = ? AND subject = ?")
                .params(feed.kind().code(), feed.subject())
                .update();
        jdbc.sql("INSERT INTO feeds (token, kind, subject, made_at) VALUES (?, ?, ?, ?)")
                .params(token, feed.kind().code(), feed.subject(), now.getEpochSecond())
                .update();
    }

    /**
     * The bookings of orders that start after an instant, the last first, and of very many only the last; those of the house
     * are all.
     */
    List<Booked> after(Feed feed, Instant after) {
        return switch (feed.kind()) {
            case HOUSE, THING -> read("b.order_id IS NOT NULL", "", after);
            case PERSON -> read(
                    "EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b.id AND s.staff = :subject)",
                    feed.subject(),
                    after);
            case GUEST -> read("o.email = :subject COLLATE NOCASE", feed.subject(), after);
        };
    }

    private List<Booked> read(String which, String subject, Instant after) {
        return jdbc.sql(
                        "SELECT b.id, b.offer, b.start_at, b.end_at, b.status, b.moves, b.party, b.place, o.name, o.number,"
                                + " o.token FROM bookings b JOIN orders o ON o.id = b.order_id"
                                + " WHERE b.start_at > :after AND b.status <> 'held' AND " + which
                                + " ORDER BY b.start_at DESC LIMIT " + MOST)
                .param("after", after.getEpochSecond())
                .param("subject", subject)
                .query((row, n) -> new Booked(
                        row.getString("id"),
                        new OfferId(row.getString("offer")),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                        BookingStatus.ofCode(row.getString("status")),
                        row.getInt("moves"),
                        row.getInt("party"),
                        row.getString("place"),
                        row.getString("name"),
                        row.getLong("number"),
                        row.getString("token")))
                .list();
    }
}
