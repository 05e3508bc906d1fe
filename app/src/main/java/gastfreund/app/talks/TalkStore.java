package gastfreund.app.talks;

import gastfreund.core.bookings.BookingId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps what is said about bookings. */
@Repository
class TalkStore {

    private static final String TALKS =
            """
            SELECT t.id, th.order_id, th.booking, t.at, t.from_guest, t.who, t.words, t.files, t.seen_at
            FROM talks t JOIN threads th ON th.key = t.thread
            """;

    private final JdbcClient jdbc;

    TalkStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Whose a key is. */
    record Thread(String key, long order, String booking) {}

    Optional<Thread> thread(String key) {
        return jdbc.sql("SELECT key, order_id, booking FROM threads WHERE key = ?")
                .param(key)
                .query((row, n) -> new Thread(row.getString("key"), row.getLong("order_id"), row.getString("booking")))
                .optional();
    }

    /** The key of a booking's thread; {@code fresh} becomes it where there is none yet. */
    String keyOf(long order, String booking, String fresh) {
        jdbc.sql(
                        "INSERT INTO threads (key, order_id, booking) VALUES (?, ?, ?) ON CONFLICT (order_id, booking) DO NOTHING")
                .params(fresh, order, booking)
                .update();
        return jdbc.sql("SELECT key FROM threads WHERE order_id = ? AND booking = ?")
                .params(order, booking)
                .query(String.class)
                .single();
    }

    /**
     * @param message what its mail calls itself; null: it came by none
     * @param seenAt null: nobody at the desk has seen it
     * @return false where a mail was taken before
     */
    boolean insert(
            String thread,
            Instant at,
            boolean fromGuest,
            String who,
            String words,
            int files,
            @Nullable String message,
            @Nullable Instant seenAt) {
        return jdbc.sql(
                                """
                                INSERT INTO talks (thread, at, from_guest, who, words, files, message, seen_at)
                                VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (message) DO NOTHING
                                """)
                        .params(Arrays.asList(
                                thread,
                                at.getEpochSecond(),
                                fromGuest ? 1 : 0,
                                who,
                                words,
                                files,
                                message,
                                seenAt == null ? null : seenAt.getEpochSecond()))
                        .update()
                == 1;
    }

    /** How much a guest wrote about an order since an instant. */
    int countFromGuest(long order, Instant since) {
        return jdbc.sql(
                        """
                        SELECT count(*) FROM threads th JOIN talks t ON t.thread = th.key
                        WHERE th.order_id = ? AND t.from_guest = 1 AND t.at > ?
                        """)
                .params(order, since.getEpochSecond())
                .query(Integer.class)
                .single();
    }

    List<Talk> ofOrder(long order) {
        return jdbc.sql(TALKS + "WHERE th.order_id = ? ORDER BY t.at, t.id")
                .param(order)
                .query(TalkStore::talk)
                .list();
    }

    /** What guests said that nobody at the desk has seen, the first one first. */
    List<Talk> unseen(int most) {
        return jdbc.sql(TALKS + "WHERE t.from_guest = 1 AND t.seen_at IS NULL ORDER BY t.at LIMIT ?")
                .param(most)
                .query(TalkStore::talk)
                .list();
    }

    int countUnseen() {
        return jdbc.sql("SELECT count(*) FROM talks WHERE from_guest = 1 AND seen_at IS NULL")
                .query(Integer.class)
                .single();
    }

    void seen(long order, Instant now) {
        jdbc.sql(
                        """
                        UPDATE talks SET seen_at = ? WHERE from_guest = 1 AND seen_at IS NULL
                          AND thread IN (SELECT key FROM threads WHERE order_id = ?)
                        """)
                .params(now.getEpochSecond(), order)
                .update();
    }

    Optional<HouseNote> note(BookingId booking) {
        return jdbc.sql("SELECT words, who, at FROM house_notes WHERE booking = ?")
                .param(booking.value())
                .query((row, n) -> new HouseNote(
                        row.getString("words"), row.getString("who"), Instant.ofEpochSecond(row.getLong("at"))))
                .optional();
    }

    /** @param words empty: the note goes */
    void note(BookingId booking, String words, String who, Instant now) {
        if (words.isEmpty()) {
            jdbc.sql("DELETE FROM house_notes WHERE booking = ?")
                    .param(booking.value())
                    .update();
            return;
        }
        jdbc.sql(
                        """
                        INSERT INTO house_notes (booking, words, who, at) VALUES (?, ?, ?, ?)
                        ON CONFLICT (booking) DO UPDATE SET words = excluded.words, who = excluded.who, at = excluded.at
                        """)
                .params(booking.value(), words, who, now.getEpochSecond())
                .update();
    }

    void forget(long order) {
        for (String sql : List.of(
                "DELETE FROM talks WHERE thread IN (SELECT key FROM threads WHERE order_id = ?)",
                "DELETE FROM threads WHERE order_id = ?",
                "DELETE FROM house_notes WHERE booking IN (SELECT booking FROM order_lines WHERE order_id = ?)")) {
            jdbc.sql(sql).param(order).update();
        }
    }

    private static Talk talk(ResultSet row, int number) throws SQLException {
        return new Talk(
                row.getLong("id"),
                row.getLong("order_id"),
                row.getString("booking"),
                Instant.ofEpochSecond(row.getLong("at")),
                row.getBoolean("from_guest"),
                row.getString("who"),
                row.getString("words"),
                row.getInt("files"),
                row.getObject("seen_at") != null);
    }
}
