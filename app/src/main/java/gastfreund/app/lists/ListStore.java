package gastfreund.app.lists;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Quantities;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.PlaceId;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads bookings as they are looked for. */
@Repository
class ListStore {

    /** What is still to be paid of a booking that stands and to which somebody comes. */
    private static final String OPEN =
            "iif(b.status IN ('requested', 'confirmed', 'completed'), max(0, l.total - l.waived - l.paid), 0)";

    private final JdbcClient jdbc;

    ListStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What lies between which instants, in seconds, and after which booking of a list.
     *
     * @param match a query of the full-text index; empty: any guest
     * @param afterStart from which start on the list goes on
     * @param afterId the id of the last booking before; empty: the list begins
     */
    record Part(long from, long to, String match, long afterStart, String afterId) {}

    private static String where(BookingFilter filter, Part part) {
        StringBuilder where = new StringBuilder(
                " FROM bookings b JOIN orders o ON o.id = b.order_id JOIN order_lines l ON l.booking = b.id"
                        + " WHERE b.start_at >= :from AND b.start_at < :to AND b.status <> 'held'");
        add(where, part.match(), "o.id IN (SELECT rowid FROM known_guests WHERE known_guests MATCH :match)");
        add(where, filter.state(), "b.status = :state");
        add(where, filter.offer(), "b.offer = :offer");
        add(
                where,
                filter.person(),
                "EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b.id AND s.staff = :person)");
        add(where, filter.place(), "b.place = :place");
        add(where, filter.source(), "o.source = :source");
        add(where, filter.money(), OPEN + (filter.money().equals("open") ? " > 0" : " = 0"));
        return where.toString();
    }

    private static void add(StringBuilder where, String value, String condition) {
        if (!value.isEmpty()) {
            where.append(" AND ").append(condition);
        }
    }

    private JdbcClient.StatementSpec ask(String sql, BookingFilter filter, Part part) {
        return jdbc.sql(sql)
                .param("from", Math.max(part.from(), part.afterStart()))
                .param("to", part.to())
                .param("match", part.match())
                .param("state", filter.state())
                .param("offer", filter.offer())
                .param("person", filter.person())
                .param("place", filter.place())
                .param("source", filter.source())
                .param("afterStart", part.afterStart())
                .param("afterId", part.afterId());
    }

    /** The bookings of a part, by start and id. */
    List<ListedBooking> rows(BookingFilter filter, Part part, int most) {
        String after = part.afterId().isEmpty() ? "" : " AND (b.start_at > :afterStart OR b.id > :afterId)";
        return ask(
                        "SELECT b.status, b.moves, " + BookingStore.RESERVED
                                + ", o.number, o.name, o.email, o.phone, o.notes, o.source, l.total, l.paid, " + OPEN
                                + " AS open"
                                + where(filter, part) + after + " ORDER BY b.start_at, b.id LIMIT " + most,
                        filter,
                        part)
                .query(ListStore::row)
                .list();
    }

    /** What all of them come to. */
    ListedBooking.Sums sums(BookingFilter filter, Part part) {
        return ask(
                        "SELECT count(*) AS n, coalesce(sum(b.party), 0) AS people, coalesce(sum(l.total), 0) AS total,"
                                + " coalesce(sum(l.paid), 0) AS paid, coalesce(sum(" + OPEN + "), 0) AS open"
                                + where(filter, part),
                        filter,
                        part)
                .query((row, n) -> new ListedBooking.Sums(
                        row.getInt("n"),
                        row.getInt("people"),
                        Money.ofMinor(row.getLong("total")),
                        Money.ofMinor(row.getLong("paid")),
                        Money.ofMinor(row.getLong("open"))))
                .single();
    }

    private static ListedBooking row(ResultSet row, int number) throws SQLException {
        String place = row.getString("place");
        return new ListedBooking(
                row.getString("id"),
                row.getLong("number"),
                new OfferId(row.getString("offer")),
                Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                BookingStatus.ofCode(row.getString("status")),
                row.getInt("party"),
                BookingStore.staff(row),
                place == null ? null : new PlaceId(place),
                row.getInt("moves"),
                Quantities.read(row.getString("add_ons")),
                row.getString("notes"),
                row.getString("name"),
                row.getString("email"),
                row.getString("phone"),
                row.getString("source"),
                Money.ofMinor(row.getLong("total")),
                Money.ofMinor(row.getLong("paid")),
                Money.ofMinor(row.getLong("open")));
    }
}
