package gastfreund.app.wishes;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.hours.Window;
import gastfreund.core.offers.LengthId;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.offers.StaffId;
import gastfreund.core.wishes.Wish;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keeps the waiting list. */
@Repository
class WishStore {

    private final JdbcClient jdbc;

    WishStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Puts a wish at the end of the list. */
    void insert(Wish wish, String guest, String email, Locale language, String source, Instant now) {
        Long start = wish.start();
        jdbc.sql(
                        """
                        INSERT INTO wishes (token, offer, party, lengths, places, staff, from_date, to_date, parts, start_at,
                                            guest, email, locale, source, made_at, turn, state, changed_at)
                        VALUES (:token, :offer, :party, :lengths, :places, :staff, :from, :to, :parts, :start,
                                :guest, :email, :locale, :source, :now,
                                (SELECT coalesce(max(turn), 0) + 1 FROM wishes WHERE state = 'waiting'), 'waiting', :now)
                        """)
                .param("token", wish.id())
                .param("offer", wish.offer().value())
                .param("party", wish.party())
                .param("lengths", joined(wish.lengths(), LengthId::value))
                .param("places", joined(wish.places(), PlaceId::value))
                .param("staff", wish.staff() == null ? null : wish.staff().value())
                .param("from", wish.from().toString())
                .param("to", wish.to().toString())
                .param("parts", joined(wish.times(), t -> t.from() + "-" + t.to()))
                .param("start", start == null ? null : start * 60)
                .param("guest", guest)
                .param("email", email)
                .param("locale", language.toLanguageTag())
                .param("source", source)
                .param("now", now.getEpochSecond())
                .update();
    }

    Optional<Waiting> find(String token) {
        return jdbc.sql("SELECT * FROM wishes WHERE token = ?")
                .param(token)
                .query((row, n) -> waiting(row))
                .optional();
    }

    /** Those that wait, in turn. */
    List<Waiting> waiting() {
        return jdbc.sql("SELECT * FROM wishes WHERE state = 'waiting' ORDER BY turn")
                .query((row, n) -> waiting(row))
                .list();
    }

    /** What has become of something that was kept for a wish: it was ordered, or it is kept no longer. */
    record Ended(String token, boolean taken) {}

    /** Those for which something was kept that is no longer. */
    List<Ended> ended(Instant now) {
        return jdbc.sql(
                        """
                        SELECT w.token, coalesce(b.status, '') IN ('requested', 'confirmed', 'completed', 'no-show') AS taken
                        FROM wishes w LEFT JOIN bookings b ON b.id = w.booking
                        WHERE w.state = 'offered' AND (b.id IS NULL OR b.status <> 'held' OR b.expires_at <= ?)
                        ORDER BY w.turn
                        """)
                .param(now.getEpochSecond())
                .query((row, n) -> new Ended(row.getString("token"), row.getBoolean("taken")))
                .list();
    }

    /** Those for which something is kept. */
    List<Waiting> offered() {
        return jdbc.sql("SELECT * FROM wishes WHERE state = 'offered' ORDER BY turn")
                .query((row, n) -> waiting(row))
                .list();
    }

    /** Those of a mail address that wait, or for which something is kept. */
    List<Waiting> of(String email) {
        return jdbc.sql("SELECT * FROM wishes WHERE email = ? COLLATE NOCASE AND state IN ('waiting', 'offered')"
                        + " ORDER BY made_at")
                .param(email)
                .query((row, n) -> waiting(row))
                .list();
    }

    /** Whether anybody waits, or something is kept for somebody. */
    boolean hasAny() {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM wishes WHERE state IN ('waiting', 'offered'))")
                .query(Boolean.class)
                .single();
    }

    void offer(String token, Waiting.Offered offered, Instant now) {
        jdbc.sql(
                        """
                        UPDATE wishes SET state = 'offered', basket = ?, booking = ?, offered_until = ?, changed_at = ?
                        WHERE token = ?
                        """)
                .params(
                        offered.basket(),
                        offered.booking().value(),
                        offered.until().getEpochSecond(),
                        now.getEpochSecond(),
                        token)
                .update();
    }

    void become(String token, Waiting.State state, Instant now) {
        jdbc.sql("UPDATE wishes SET state = ?, changed_at = ? WHERE token = ?")
                .params(state.code(), now.getEpochSecond(), token)
                .update();
    }

    void turn(String token, long turn) {
        jdbc.sql("UPDATE wishes SET turn = ? WHERE token = ?")
                .params(turn, token)
                .update();
    }

    /** Forgets what a mail address wished. */
    void forget(String email) {
        jdbc.sql("DELETE FROM wishes WHERE email = ? COLLATE NOCASE")
                .param(email)
                .update();
    }

    /** Forgets those that ended before an instant. */
    void deleteEnded(Instant before) {
        jdbc.sql("DELETE FROM wishes WHERE changed_at < ? AND state NOT IN ('waiting', 'offered')")
                .param(before.getEpochSecond())
                .update();
    }

    private static <T> String joined(List<T> parts, Function<T, String> of) {
        return parts.stream().map(of).collect(Collectors.joining(" "));
    }

    private static <T> List<T> parts(String joined, Function<String, T> of) {
        return joined.isEmpty()
                ? List.of()
                : Arrays.stream(joined.split(" ")).map(of).toList();
    }

    private static Window window(String written) {
        int dash = written.indexOf('-');
        return Window.of(Integer.parseInt(written.substring(0, dash)), Integer.parseInt(written.substring(dash + 1)));
    }

    private static Waiting waiting(ResultSet row) throws SQLException {
        String staff = row.getString("staff");
        long start = row.getLong("start_at");
        Long wanted = row.wasNull() ? null : start / 60;
        Wish wish = new Wish(
                row.getString("token"),
                new OfferId(row.getString("offer")),
                row.getInt("party"),
                parts(row.getString("lengths"), LengthId::new),
                parts(row.getString("places"), PlaceId::new),
                staff == null ? null : new StaffId(staff),
                LocalDate.parse(row.getString("from_date")),
                LocalDate.parse(row.getString("to_date")),
                parts(row.getString("parts"), WishStore::window),
                wanted);
        return new Waiting(
                wish,
                row.getString("guest"),
                row.getString("email"),
                Locale.forLanguageTag(row.getString("locale")),
                row.getString("source"),
                Instant.ofEpochSecond(row.getLong("made_at")),
                row.getLong("turn"),
                Waiting.State.valueOf(row.getString("state").toUpperCase(Locale.ROOT)),
                offered(row));
    }

    private static Waiting.@Nullable Offered offered(ResultSet row) throws SQLException {
        String booking = row.getString("booking");
        return booking == null
                ? null
                : new Waiting.Offered(
                        row.getString("basket"),
                        new BookingId(booking),
                        Instant.ofEpochSecond(row.getLong("offered_until")));
    }
}
