package gastfreund.app.vouchers;

import gastfreund.core.bookings.BookingId;
import gastfreund.core.hours.OfferId;
import gastfreund.core.money.Money;
import gastfreund.core.money.Percent;
import gastfreund.housefile.HouseFile;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Keeps vouchers and passes: those for sale in baskets and orders, those that were issued, and each use of them. */
@Repository
class PrepaidStore {

    private final JdbcClient jdbc;

    PrepaidStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(Prepaid prepaid, Instant now) {
        jdbc.sql(
                        """
                        INSERT INTO prepaid (id, kind, code, title, worth, rest, offers, last_day, recipient, greeting,
                                             issued_at)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        prepaid.id(),
                        prepaid.kind().code(),
                        prepaid.code(),
                        prepaid.title(),
                        prepaid.worth(),
                        prepaid.rest(),
                        written(prepaid.offers()),
                        prepaid.lastDay().toString(),
                        prepaid.recipient(),
                        prepaid.greeting(),
                        now.getEpochSecond())
                .update();
    }

    Optional<Prepaid> byId(String id) {
        return jdbc.sql("SELECT * FROM prepaid WHERE id = ?")
                .param(id)
                .query(PrepaidStore::prepaid)
                .optional();
    }

    Optional<Prepaid> byCode(String code) {
        return jdbc.sql("SELECT * FROM prepaid WHERE code = ?")
                .param(code)
                .query(PrepaidStore::prepaid)
                .optional();
    }

    /** What was entered for a basket, in the order in which it was issued. */
    List<Prepaid> ofBasket(String basket) {
        return jdbc.sql(
                        """
                        SELECT p.* FROM prepaid p JOIN basket_prepaid b ON b.prepaid = p.id
                        WHERE b.basket = ? ORDER BY p.last_day, p.rowid
                        """)
                .param(basket)
                .query(PrepaidStore::prepaid)
                .list();
    }

    void enter(String basket, String prepaid) {
        jdbc.sql("INSERT INTO basket_prepaid (basket, prepaid) VALUES (?, ?) ON CONFLICT DO NOTHING")
                .params(basket, prepaid)
                .update();
    }

    void leave(String basket, String prepaid) {
        jdbc.sql("DELETE FROM basket_prepaid WHERE basket = ? AND prepaid = ?")
                .params(basket, prepaid)
                .update();
    }

    /**
     * Takes something of a voucher or a pass, or gives it back where the amount is negative.
     *
     * @return false where there is not so much left
     */
    boolean use(String prepaid, long order, @Nullable BookingId booking, long amount, String why, Instant now) {
        boolean enough = jdbc.sql(
                                "UPDATE prepaid SET rest = rest - :amount WHERE id = :id AND rest >= :amount AND rest - :amount <= worth")
                        .param("amount", amount)
                        .param("id", prepaid)
                        .update()
                > 0;
        if (enough) {
            jdbc.sql("INSERT INTO prepaid_uses (prepaid, order_id, booking, amount, at, why) VALUES (?, ?, ?, ?, ?, ?)")
                    .params(Arrays.asList(
                            prepaid,
                            order,
                            booking == null ? null : booking.value(),
                            amount,
                            now.getEpochSecond(),
                            why))
                    .update();
        }
        return enough;
    }

    /** A pass from which a booking has visits, and how many. */
    record Visits(String pass, long count) {}

    Optional<Visits> visitsOf(BookingId booking) {
        return jdbc.sql(
                        """
                        SELECT u.prepaid, sum(u.amount) AS visits
                        FROM prepaid_uses u JOIN prepaid p ON p.id = u.prepaid
                        WHERE u.booking = ? AND p.kind = 'pass'
                        GROUP BY u.prepaid HAVING sum(u.amount) > 0
                        """)
                .param(booking.value())
                .query((row, n) -> new Visits(row.getString("prepaid"), row.getLong("visits")))
                .optional();
    }

    void insertGoods(String basket, Goods goods) {
        jdbc.sql(
                        """
                        INSERT INTO goods (id, basket, product, kind, title, price, worth, offers, tax_rate, months,
                                           recipient, greeting, handover)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        goods.id(),
                        basket,
                        goods.product(),
                        goods.kind().code(),
                        goods.title(),
                        goods.price().minor(),
                        goods.worth(),
                        written(goods.offers()),
                        goods.taxRate().toString(),
                        goods.months(),
                        goods.recipient(),
                        goods.greeting(),
                        goods.handover())
                .update();
    }

    /** How many of a ware were sold and not taken back. */
    int sold(String product) {
        return jdbc.sql(
                        """
                        SELECT coalesce(sum(worth), 0) FROM goods
                        WHERE kind = 'ware' AND product = ? AND sold_at IS NOT NULL AND returned = 0
                        """)
                .param(product)
                .query(Integer.class)
                .single();
    }

    /** How many of a ware lie in orders that can still be paid. */
    int awaited(String product, Instant now) {
        return jdbc.sql(
                        """
                        SELECT coalesce(sum(g.worth), 0) FROM goods g JOIN orders o ON o.id = g.order_id
                        WHERE g.kind = 'ware' AND g.product = :product AND g.sold_at IS NULL AND o.status <> 'lapsed'
                          AND (o.status = 'waiting' OR o.placed_at > :now - 1800
                               OR EXISTS (SELECT 1 FROM payments p WHERE p.order_id = o.id
                                          AND p.state = 'created' AND p.expires_at > :now))
                        """)
                .param("product", product)
                .param("now", now.getEpochSecond())
                .query(Integer.class)
                .single();
    }

    void soldAt(String goods, Instant now) {
        jdbc.sql("UPDATE goods SET sold_at = ? WHERE id = ?")
                .params(now.getEpochSecond(), goods)
                .update();
    }

    /** What a basket has that is not yet ordered. */
    List<Goods> goodsOfBasket(String basket) {
        return jdbc.sql("SELECT * FROM goods WHERE basket = ? AND order_id IS NULL ORDER BY rowid")
                .param(basket)
                .query(PrepaidStore::goods)
                .list();
    }

    List<Goods> goodsOfOrder(long order) {
        return jdbc.sql("SELECT * FROM goods WHERE order_id = ? ORDER BY rowid")
                .param(order)
                .query(PrepaidStore::goods)
                .list();
    }

    /** The titles of what orders buy, by order; nothing for those that buy nothing of the kind. */
    Map<Long, List<String>> titlesOf(List<Long> orders) {
        Map<Long, List<String>> titles = new HashMap<>();
        if (!orders.isEmpty()) {
            jdbc.sql("SELECT order_id, title FROM goods WHERE order_id IN (:orders) ORDER BY rowid")
                    .param("orders", orders)
                    .query(row -> {
                        titles.computeIfAbsent(row.getLong("order_id"), o -> new ArrayList<>())
                                .add(row.getString("title"));
                    });
        }
        return titles;
    }

    boolean removeGoods(String basket, String goods) {
        return jdbc.sql("DELETE FROM goods WHERE id = ? AND basket = ? AND order_id IS NULL")
                        .params(goods, basket)
                        .update()
                > 0;
    }

    void order(String basket, long order) {
        jdbc.sql("UPDATE goods SET order_id = ? WHERE basket = ? AND order_id IS NULL")
                .params(order, basket)
                .update();
    }

    void issued(String goods, String prepaid) {
        jdbc.sql("UPDATE goods SET prepaid = ? WHERE id = ?")
                .params(prepaid, goods)
                .update();
    }

    void returned(String goods) {
        jdbc.sql("UPDATE goods SET returned = 1 WHERE id = ?").param(goods).update();
    }

    private static Prepaid prepaid(ResultSet row, int number) throws SQLException {
        return new Prepaid(
                row.getString("id"),
                Prepaid.Kind.ofCode(row.getString("kind")),
                row.getString("code"),
                row.getString("title"),
                row.getLong("worth"),
                row.getLong("rest"),
                offers(row),
                LocalDate.parse(row.getString("last_day")),
                row.getString("recipient"),
                row.getString("greeting"));
    }

    private static Goods goods(ResultSet row, int number) throws SQLException {
        return new Goods(
                row.getString("id"),
                row.getString("product"),
                Goods.Kind.ofCode(row.getString("kind")),
                row.getString("title"),
                Money.ofMinor(row.getLong("price")),
                row.getLong("worth"),
                offers(row),
                Percent.of(row.getString("tax_rate")),
                row.getInt("months"),
                row.getString("recipient"),
                row.getString("greeting"),
                row.getString("prepaid"),
                row.getInt("returned") == 1,
                row.getString("handover"),
                row.getObject("sold_at") != null);
    }

    private static String written(Set<OfferId> offers) {
        ArrayNode json = JsonNodeFactory.instance.arrayNode();
        offers.stream().map(OfferId::value).sorted().forEach(json::add);
        return json.toString();
    }

    private static Set<OfferId> offers(ResultSet row) throws SQLException {
        Set<OfferId> offers = new LinkedHashSet<>();
        HouseFile.parse(row.getString("offers")).forEach(o -> offers.add(new OfferId(o.stringValue())));
        return offers;
    }
}
