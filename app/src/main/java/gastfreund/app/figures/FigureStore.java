package gastfreund.app.figures;

import gastfreund.app.bookings.BookingStore;
import gastfreund.app.bookings.Quantities;
import gastfreund.core.bookings.BookingStatus;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.offers.AddOnId;
import gastfreund.core.time.Interval;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Counts what is over. */
@Repository
class FigureStore {

    static final String VOUCHER = "voucher";
    static final String PASS = "pass";

    private static final String STOOD = "b.status IN ('confirmed', 'completed', 'no-show')";

    /** A visit of a pass counts as what it paid for, where it was used. */
    private static final String VISITS =
            """
            iif(l.covered > 0 AND EXISTS (SELECT 1 FROM prepaid_uses u JOIN prepaid p ON p.id = u.prepaid
                                          WHERE u.booking = b.id AND p.kind = 'pass'
                                          GROUP BY u.booking HAVING sum(u.amount) > 0), l.covered, 0)""";

    private static final String EARNED =
            "(CASE WHEN b.status IN ('confirmed', 'completed') THEN max(0, l.total - l.waived) + " + VISITS
                    + " WHEN b.status IN ('no-show', 'cancelled') THEN l.paid + " + VISITS + " ELSE 0 END)";

    private static final String BACK =
            "(SELECT coalesce(sum(r.refunded), 0) FROM payment_parts r WHERE r.subject = b.id)";

    private static final String OWED =
            "iif(b.status IN ('confirmed', 'completed'), max(0, l.total - l.waived - l.paid), 0)";

    private static final String EARLIER =
            """
            EXISTS (SELECT 1 FROM orders p JOIN bookings c ON c.order_id = p.id
                    WHERE p.email = o.email COLLATE NOCASE AND o.email <> '' AND c.start_at < b.start_at
                      AND c.status IN ('confirmed', 'completed'))""";

    private static final String FROM =
            " FROM bookings b JOIN order_lines l ON l.booking = b.id JOIN orders o ON o.id = b.order_id";

    private static final String WHERE = " WHERE b.start_at >= :from AND b.start_at < :to AND b.end_at <= :now";

    private static final String MONEY = "count(*) AS n, coalesce(sum(" + EARNED + "), 0) AS earned, coalesce(sum("
            + BACK + "), 0) AS back, coalesce(sum(" + OWED + "), 0) AS owed";

    private final JdbcClient jdbc;

    FigureStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private JdbcClient.StatementSpec ask(String select, Asked asked, String rest) {
        return ask(select, asked, rest, "");
    }

    private JdbcClient.StatementSpec ask(String select, Asked asked, String rest, String join) {
        StringBuilder sql = new StringBuilder(select).append(FROM).append(join).append(WHERE);
        if (!asked.offer().isEmpty()) {
            sql.append(" AND b.offer = :offer");
        }
        if (!asked.person().isEmpty()) {
            sql.append(" AND EXISTS (SELECT 1 FROM booking_staff s WHERE s.booking = b.id AND s.staff = :person)");
        }
        return jdbc.sql(sql.append(rest).toString())
                .param("from", asked.from().getEpochSecond())
                .param("to", asked.to().getEpochSecond())
                .param("now", asked.now().getEpochSecond())
                .param("offer", asked.offer())
                .param("person", asked.person());
    }

    private static Earned money(ResultSet row) throws SQLException {
        return new Earned(
                row.getInt("n"),
                Money.ofMinor(row.getLong("earned")),
                Money.ofMinor(row.getLong("back")),
                Money.ofMinor(row.getLong("owed")));
    }

    /** What each offer brought; those that brought nothing and of which nothing was booked are left out. */
    Map<OfferId, Earned> byOffer(Asked asked) {
        Map<OfferId, Earned> found = new LinkedHashMap<>();
        ask("SELECT b.offer, " + MONEY, asked, " GROUP BY b.offer ORDER BY b.offer")
                .query(row -> {
                    found.put(new OfferId(row.getString("offer")), money(row));
                });
        return found;
    }

    /** What was sold without a time and handed over, and did not come back. */
    Money wares(Instant from, Instant to) {
        return Money.ofMinor(jdbc.sql("SELECT coalesce(sum(price), 0) FROM goods WHERE kind = 'ware' AND returned = 0"
                        + " AND sold_at >= ? AND sold_at < ?")
                .params(from.getEpochSecond(), to.getEpochSecond())
                .query(Long.class)
                .single());
    }

    /** How many bookings that stood were ordered less than each of some times before, in seconds, and the rest. */
    int[] byLead(Asked asked, List<Long> upTo) {
        StringBuilder select = new StringBuilder("SELECT CASE");
        for (int i = 0; i < upTo.size(); i++) {
            select.append(" WHEN b.start_at - o.placed_at < ")
                    .append(upTo.get(i))
                    .append(" THEN ")
                    .append(i);
        }
        select.append(" ELSE ").append(upTo.size()).append(" END AS part, count(*) AS n");
        int[] counts = new int[upTo.size() + 1];
        ask(select.toString(), asked, " AND " + STOOD + " GROUP BY part").query(row -> {
            counts[row.getInt("part")] = row.getInt("n");
        });
        return counts;
    }

    /** How many parties of each size came, the smallest first. */
    Map<Integer, Integer> byParty(Asked asked) {
        Map<Integer, Integer> counts = new LinkedHashMap<>();
        ask("SELECT b.party, count(*) AS n", asked, " AND " + STOOD + " GROUP BY b.party ORDER BY b.party")
                .query(row -> {
                    counts.put(row.getInt("party"), row.getInt("n"));
                });
        return counts;
    }

    /** A length of an offer, and how many bookings that stood had it. */
    record Lengths(OfferId offer, String length, int bookings) {}

    /** How often each length was booked, the most booked first. */
    List<Lengths> byLength(Asked asked) {
        return ask(
                        "SELECT b.offer, b.length, count(*) AS n",
                        asked,
                        " AND " + STOOD + " GROUP BY b.offer, b.length ORDER BY n DESC, b.offer, b.length")
                .query((row, number) ->
                        new Lengths(new OfferId(row.getString("offer")), row.getString("length"), row.getInt("n")))
                .list();
    }

    /** Add-ons as they are kept of an offer's bookings that stood, and how many bookings have exactly these. */
    record AddOns(OfferId offer, Map<AddOnId, Integer> quantities, int bookings) {}

    /** How often which add-ons were booked together; what was booked without any is left out. */
    List<AddOns> byAddOns(Asked asked) {
        return ask(
                        "SELECT b.offer, b.add_ons, count(*) AS n",
                        asked,
                        " AND " + STOOD
                                + " AND b.add_ons <> '{}' GROUP BY b.offer, b.add_ons ORDER BY b.offer, b.add_ons")
                .query((row, number) -> new AddOns(
                        new OfferId(row.getString("offer")),
                        Quantities.read(row.getString("add_ons")),
                        row.getInt("n")))
                .list();
    }

    /**
     * A booking that was cancelled.
     *
     * @param sold what it was sold as, as it is kept
     * @param who cancelled it, as the journal has it
     */
    record Cancelled(String id, Instant start, Instant at, String who, String sold) {}

    /** What was cancelled of what should have taken place. */
    List<Cancelled> cancelled(Asked asked) {
        return ask(
                        "SELECT b.id, b.start_at, l.sold, j.at, j.who",
                        asked,
                        " AND b.status = 'cancelled' ORDER BY b.start_at, b.id",
                        " JOIN journal j ON j.order_id = b.order_id AND j.subject = b.id AND j.step_to = 'cancelled'")
                .query((row, number) -> new Cancelled(
                        row.getString("id"),
                        Instant.ofEpochSecond(row.getLong("start_at")),
                        Instant.ofEpochSecond(row.getLong("at")),
                        row.getString("who"),
                        row.getString("sold")))
                .list();
    }

    /** Guests of what stood, and how many of them had come before. */
    record Again(int guests, int again) {}

    Again again(Asked asked) {
        return ask(
                        "SELECT count(DISTINCT lower(o.email)) AS guests, count(DISTINCT iif(" + EARLIER
                                + ", lower(o.email), NULL)) AS again",
                        asked,
                        " AND " + STOOD + " AND o.email <> ''")
                .query((row, number) -> new Again(row.getInt("guests"), row.getInt("again")))
                .single();
    }

    /** How many bookings there were of each status. */
    Map<BookingStatus, Integer> byStatus(Asked asked) {
        Map<BookingStatus, Integer> counts = new LinkedHashMap<>();
        ask("SELECT b.status, count(*) AS n", asked, " GROUP BY b.status ORDER BY b.status")
                .query(row -> {
                    counts.put(BookingStatus.ofCode(row.getString("status")), row.getInt("n"));
                });
        return counts;
    }

    /** A promo code, how many bookings that stood had it, and by how much it lowered their price. */
    record Code(String code, int bookings, Money discount) {}

    List<Code> byCode(Asked asked) {
        return ask(
                        "SELECT o.promo_code, count(*) AS n, sum(l.discount) AS discount",
                        asked,
                        " AND " + STOOD + " AND o.promo_code IS NOT NULL GROUP BY o.promo_code ORDER BY n DESC, 1")
                .query((row, number) ->
                        new Code(row.getString("promo_code"), row.getInt("n"), Money.ofMinor(row.getLong("discount"))))
                .list();
    }

    /** A voucher or a pass of which something is left; of a voucher in minor units, of a pass in visits. */
    record Outstanding(String kind, String title, Instant issued, String lastDay, long worth, long rest) {

        Money asMoney(long minor) {
            return Money.ofMinor(minor);
        }
    }

    /** All that are not over of a kind, by their last day. */
    List<Outstanding> outstanding(String kind, LocalDate today) {
        return jdbc.sql("SELECT kind, title, issued_at, last_day, worth, rest FROM prepaid"
                        + " WHERE kind = ? AND last_day >= ? AND rest > 0 ORDER BY last_day, id")
                .params(kind, today.toString())
                .query((row, number) -> new Outstanding(
                        row.getString("kind"),
                        row.getString("title"),
                        Instant.ofEpochSecond(row.getLong("issued_at")),
                        row.getString("last_day"),
                        row.getLong("worth"),
                        row.getLong("rest")))
                .list();
    }

    /** What is left of vouchers or passes that are not over: how many there are, and money or visits. */
    record Left(int count, long rest) {}

    Left left(String kind, LocalDate today) {
        return jdbc.sql("SELECT count(*) AS n, coalesce(sum(rest), 0) AS rest FROM prepaid"
                        + " WHERE kind = ? AND last_day >= ? AND rest > 0")
                .params(kind, today.toString())
                .query((row, number) -> new Left(row.getInt("n"), row.getLong("rest")))
                .single();
    }

    /** The bookings of which figures are made, by start and id. */
    List<Row> rows(Asked asked) {
        return ask(
                        "SELECT b.status, " + BookingStore.RESERVED + ", o.number, o.name, o.placed_at, o.source,"
                                + " coalesce(o.promo_code, '') AS code, " + EARLIER + " AS earlier, 1 AS n, " + EARNED
                                + " AS earned, " + BACK + " AS back, " + OWED + " AS owed",
                        asked,
                        " ORDER BY b.start_at, b.id")
                .query((row, number) -> new Row(
                        row.getString("id"),
                        row.getLong("number"),
                        row.getString("name"),
                        new OfferId(row.getString("offer")),
                        row.getString("length"),
                        Interval.between(row.getLong("start_at") / 60, row.getLong("end_at") / 60),
                        BookingStatus.ofCode(row.getString("status")),
                        row.getInt("party"),
                        BookingStore.staff(row),
                        Quantities.read(row.getString("add_ons")),
                        Instant.ofEpochSecond(row.getLong("placed_at")),
                        row.getString("source"),
                        row.getString("code"),
                        row.getBoolean("earlier"),
                        money(row)))
                .list();
    }
}
