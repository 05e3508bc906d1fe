package gastfreund.app.guests;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.journal.Actor;
import gastfreund.housefile.HouseFile;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** What the house has of its guests, and how long. */
class TidyingTest extends DemoHouseTest {

    private static final Actor OWNER = Actor.host("okka@quillmere.example");

    @Autowired
    private Tidying tidying;

    @Autowired
    private GuestService guests;

    @Autowired
    private TransactionTemplate transaction;

    private int count(String sql, Object... parameters) {
        return jdbc.sql("SELECT count(*) FROM " + sql)
                .params(parameters)
                .query(Integer.class)
                .single();
    }

    private void sql(String statement, Object... parameters) {
        transaction.executeWithoutResult(
                s -> jdbc.sql(statement).params(parameters).update());
    }

    /** An order that was paid, whose letters went out, and whose booking has taken place. */
    private long ordered(String email, int daysAhead) {
        String basket = keep(
                "wheel-hire",
                "60",
                1,
                opening("wheel-hire", "60", 1, daysAhead).time().start());
        get(pay(order(basket, "Lene Dorsch", email), "WORKS"));
        long order = jdbc.sql("SELECT max(id) FROM orders").query(Long.class).single();
        sql(
                "UPDATE outbox SET sent_at = ? WHERE order_id = ? AND sent_at IS NULL",
                clock.instant().getEpochSecond(),
                order);
        return order;
    }

    @Test
    void expiredHoldsBasketsAndBodiesOfLettersGoAfterThirtyDays() {
        String basket = keep(
                        "wheel-hire",
                        "60",
                        1,
                        opening("wheel-hire", "60", 1, 3).time().start())
                .substring(8);
        long order = ordered("letters@post.example", 4);
        clock.moveAhead(Duration.ofDays(29));
        tidying.run();
        assertThat(count("bookings WHERE basket = ?", basket)).isEqualTo(1);
        assertThat(count("outbox WHERE order_id = ? AND facts <> ''", order)).isEqualTo(2);
        clock.moveAhead(Duration.ofDays(2));
        tidying.run();
        assertThat(count("bookings WHERE basket = ?", basket)).isZero();
        assertThat(count("baskets WHERE token = ?", basket)).isZero();
        assertThat(count("outbox WHERE order_id = ?", order))
                .as("that they were sent is kept")
                .isEqualTo(2);
        assertThat(count(
                        "outbox WHERE order_id = ? AND (facts <> '' OR text_part <> '' OR html_part <> '' OR calendar IS NOT NULL)",
                        order))
                .isZero();
        assertThat(count("work")).isZero();
    }

    @Test
    void guestsDataGoAsLongAfterTheirLastBookingAsTheHouseHasSetAndDocumentsStay() {
        long order = ordered("old@post.example", 5);
        String token = jdbc.sql("SELECT token FROM orders WHERE id = ?")
                .param(order)
                .query(String.class)
                .single();
        clock.moveAhead(Duration.ofDays(36 * 30));
        tidying.run();
        assertThat(count("orders WHERE id = ? AND email = 'old@post.example'", order))
                .isEqualTo(1);
        sql("UPDATE bookings SET status = 'completed' WHERE status = 'confirmed'");
        clock.moveAhead(Duration.ofDays(30));
        tidying.run();
        assertThat(count("orders WHERE id = ? AND email = '' AND phone = '' AND forgotten_at IS NOT NULL", order))
                .isEqualTo(1);
        assertThat(count("documents WHERE order_id = ?", order))
                .as("as long as the law asks")
                .isEqualTo(1);
        assertThat(get("/bookings/" + token).statusCode()).isEqualTo(404);
        assertThat(count("work")).isZero();
        clock.moveAhead(Duration.ofDays(8 * 366));
        ordered("new@post.example", 5);
        tidying.run();
        assertThat(count("documents WHERE order_id = ?", order)).isZero();
    }

    @Test
    void aGuestIsTakenOutAsOneFileAndForgottenOnceNothingIsToCome() {
        long order = ordered("taken@post.example", 6);
        JsonNode file = HouseFile.parse(guests.takeOut("Taken@post.example", OWNER));
        assertThat(file.get("orders")).hasSize(1);
        JsonNode one = file.get("orders").get(0);
        assertThat(one.get("name").stringValue()).isEqualTo("Lene Dorsch");
        assertThat(one.get("bookings").get(0).get("offer").stringValue()).isEqualTo("wheel-hire");
        assertThat(one.get("payments")).hasSize(1);
        assertThat(one.get("documents")).hasSize(1);
        assertThat(one.get("letters")).hasSize(1);
        assertThat(one.get("agreements")).isNotEmpty();
        assertThat(guests.forget("taken@post.example", OWNER))
                .as("the booking is still to come")
                .isFalse();
        clock.moveAhead(Duration.ofDays(30));
        assertThat(guests.forget("taken@post.example", OWNER)).isTrue();
        assertThat(jdbc.sql("SELECT who || ': ' || why FROM journal WHERE about = 'order' AND why <> '' ORDER BY id")
                        .query(String.class)
                        .list())
                .contains("okka@quillmere.example: data-forgotten");
        assertThat(count("outbox WHERE order_id = ?", order)).isZero();
        assertThat(count("bookings WHERE order_id = ?", order))
                .as("bookings stay as numbers")
                .isEqualTo(1);
        String dump = jdbc.sql("SELECT group_concat(name || email || phone || notes) FROM orders WHERE id = ?")
                .param(order)
                .query(String.class)
                .single();
        assertThat(dump).doesNotContain("Lene", "taken@post.example");
        assertThat(guests.countOrders("taken@post.example")).isZero();
        assertThat(guests.forget("taken@post.example", OWNER)).isFalse();
    }

    @Test
    void whereAGuestWasVisitedIsInTheirFileAndIsForgottenWithThem() {
        String basket = keep(
                "clay-visit",
                "120",
                4,
                opening("clay-visit", "120", 4, 5).time().start());
        post(basket + "/where", Map.of("address", "Saltmarsh Road 4, Ebbing"));
        get(pay(order(basket, "Jori Tamm", "jori@post.example"), "WORKS"));
        assertThat(guests.takeOut("jori@post.example", OWNER)).contains("Saltmarsh Road 4, Ebbing");
        sql("UPDATE outbox SET sent_at = 0 WHERE sent_at IS NULL");
        clock.moveAhead(Duration.ofDays(60));
        assertThat(guests.forget("jori@post.example", OWNER)).isTrue();
        assertThat(count("visits WHERE address = 'Saltmarsh Road 4, Ebbing'")).isZero();
    }
}
