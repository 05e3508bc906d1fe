package gastfreund.app.guests;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Keeps what the house notes of guests, and finds guests by their orders. */
@Repository
class GuestCardStore {

    static final String EMAIL = "email";
    static final String ORDER = "order";

    private final JdbcClient jdbc;

    GuestCardStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** An order as one of its guest's. */
    record Row(long id, long number, String name, String email, String phone) {}

    /**
     * The newest order of each guest, the last one first.
     *
     * @param match a query of the full-text index; empty: any guest
     * @param tag empty: any
     * @param before only those with smaller ids
     */
    List<Row> newest(String match, String tag, long before, int most) {
        return jdbc.sql("SELECT o.id, o.number, o.name, o.email, o.phone FROM orders o"
                        + " WHERE o.id < :before AND o.forgotten_at IS NULL"
                        + (match.isEmpty()
                                ? ""
                                : " AND o.id IN (SELECT rowid FROM known_guests WHERE known_guests MATCH :match)")
                        + (tag.isEmpty()
                                ? ""
                                : " AND (SELECT card FROM guest_members WHERE kind = CASE o.email WHEN '' THEN 'order' ELSE 'email' END"
                                        + " AND value = CASE o.email WHEN '' THEN CAST(o.id AS TEXT) ELSE o.email END)"
                                        + " IN (SELECT card FROM guest_tags WHERE tag = :tag)")
                        + " AND (o.email = '' OR NOT EXISTS (SELECT 1 FROM orders n"
                        + " WHERE n.email = o.email COLLATE NOCASE AND n.id > o.id AND n.forgotten_at IS NULL))"
                        + " ORDER BY o.id DESC LIMIT :most")
                .param("before", before)
                .param("match", match)
                .param("tag", tag)
                .param("most", most)
                .query(GuestCardStore::row)
                .list();
    }

    /** Orders that a query of the full-text index finds, the last one first. */
    List<Row> found(String match, int most) {
        return jdbc.sql(
                        """
                        SELECT o.id, o.number, o.name, o.email, o.phone FROM orders o
                        WHERE o.id IN (SELECT rowid FROM known_guests WHERE known_guests MATCH ?)
                          AND o.forgotten_at IS NULL ORDER BY o.id DESC LIMIT ?
                        """)
                .params(match, most)
                .query(GuestCardStore::row)
                .list();
    }

    private static Row row(ResultSet row, int number) throws SQLException {
        return new Row(
                row.getLong("id"),
                row.getLong("number"),
                row.getString("name"),
                row.getString("email"),
                row.getString("phone"));
    }

    Optional<Long> cardOf(String kind, String value) {
        return jdbc.sql("SELECT card FROM guest_members WHERE kind = ? AND value = ?")
                .params(kind, value)
                .query(Long.class)
                .optional();
    }

    List<String> members(long card, String kind) {
        return jdbc.sql("SELECT value FROM guest_members WHERE card = ? AND kind = ? ORDER BY value")
                .params(card, kind)
                .query(String.class)
                .list();
    }

    List<String> tags(long card) {
        return jdbc.sql("SELECT tag FROM guest_tags WHERE card = ? ORDER BY tag")
                .param(card)
                .query(String.class)
                .list();
    }

    String note(long card) {
        return jdbc.sql("SELECT note FROM guest_cards WHERE id = ?")
                .param(card)
                .query(String.class)
                .single();
    }

    long insert(String kind, String value) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        jdbc.sql("INSERT INTO guest_cards (note) VALUES ('')").update(key, "id");
        long card = Objects.requireNonNull(key.getKey()).longValue();
        jdbc.sql("INSERT INTO guest_members (kind, value, card) VALUES (?, ?, ?)")
                .params(kind, value, card)
                .update();
        return card;
    }

    void keep(long card, String note, List<String> tags) {
        jdbc.sql("UPDATE guest_cards SET note = ? WHERE id = ?")
                .params(note, card)
                .update();
        jdbc.sql("DELETE FROM guest_tags WHERE card = ?").param(card).update();
        addTags(card, tags);
    }

    private void addTags(long card, List<String> tags) {
        for (String tag : tags) {
            jdbc.sql("INSERT INTO guest_tags (card, tag) VALUES (?, ?) ON CONFLICT DO NOTHING")
                    .params(card, tag)
                    .update();
        }
    }

    /** Makes the members and the tags of another card those of a card; the other is no more. */
    void merge(long card, long other, String note) {
        List<String> tags = tags(other);
        jdbc.sql("UPDATE guest_members SET card = ? WHERE card = ?")
                .params(card, other)
                .update();
        jdbc.sql("UPDATE guest_cards SET note = ? WHERE id = ?")
                .params(note, card)
                .update();
        addTags(card, tags);
        jdbc.sql("DELETE FROM guest_cards WHERE id = ?").param(other).update();
    }

    /** Makes a member a guest of its own again; a card without members is no more. */
    void leave(String kind, String value) {
        Optional<Long> card = cardOf(kind, value);
        jdbc.sql("DELETE FROM guest_members WHERE kind = ? AND value = ?")
                .params(kind, value)
                .update();
        card.ifPresent(c -> jdbc.sql(
                        "DELETE FROM guest_cards WHERE id = ? AND NOT EXISTS (SELECT 1 FROM guest_members WHERE card = ?)")
                .params(c, c)
                .update());
    }

    /** The first tag after a word, as the alphabet goes; empty: there is none. */
    Optional<String> tagAfter(String word) {
        return jdbc.sql("SELECT tag FROM guest_tags WHERE tag > ? ORDER BY tag LIMIT 1")
                .param(word)
                .query(String.class)
                .optional();
    }

    /**
     * What a guest's orders come to.
     *
     * @param next when their next booking begins; 0: there is none
     * @param last when their last booking began; 0: there was none
     */
    record Sums(int bookings, long paid, long next, long last) {}

    Sums sums(List<Long> orders, Instant now) {
        return jdbc.sql(
                        """
                        SELECT count(*) AS n, coalesce(sum(l.paid), 0) AS paid,
                               coalesce(min(CASE WHEN b.start_at > :now THEN b.start_at END), 0) AS next,
                               coalesce(max(CASE WHEN b.start_at <= :now THEN b.start_at END), 0) AS last
                        FROM order_lines l JOIN bookings b ON b.id = l.booking
                        WHERE l.order_id IN (:orders) AND b.status IN ('requested', 'confirmed', 'completed', 'no-show')
                        """)
                .param("now", now.getEpochSecond())
                .param("orders", orders)
                .query((row, n) ->
                        new Sums(row.getInt("n"), row.getLong("paid"), row.getLong("next"), row.getLong("last")))
                .single();
    }
}
