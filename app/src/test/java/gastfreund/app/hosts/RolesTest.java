package gastfreund.app.hosts;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What hosts of each role see and may do. */
class RolesTest extends DemoHouseTest {

    private static final String PASSWORD = "plenty of slip";
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    private final HttpClient browser =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    @Autowired
    private HostService hosts;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void add() {
        for (String role : new String[] {"manager", "staff"}) {
            hosts.add(role + "@quillmere.example", role, PASSWORD, role);
        }
    }

    /** The house is other tests' too, and they count its mail. */
    @AfterEach
    void remove() {
        transaction.executeWithoutResult(s -> jdbc.sql("DELETE FROM hosts WHERE role <> 'owner'").update());
    }

    private HttpResponse<String> ask(HttpRequest.Builder request) throws IOException, InterruptedException {
        return browser.send(request.header("Accept", "text/html").build(), HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> page(String path) throws IOException, InterruptedException {
        return ask(HttpRequest.newBuilder(URI.create(address(path))));
    }

    /** Sends a form with the token of a page. */
    private int sent(String from, String to, String form) throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(page(from).body());
        assertThat(token.find()).isTrue();
        String body = form + "&_csrf=" + URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
        return ask(HttpRequest.newBuilder(URI.create(address(to)))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body)))
                .statusCode();
    }

    private String order() {
        String number = jdbc.sql("""
                        SELECT o.number FROM orders o JOIN order_lines l ON l.order_id = o.id
                        JOIN bookings b ON b.id = l.booking
                        WHERE b.status = 'confirmed' AND l.paid > 0 ORDER BY b.start_at DESC LIMIT 1
                        """)
                .query(String.class)
                .single();
        return "/desk/orders/" + number;
    }

    private String booking(String order) {
        return jdbc.sql("SELECT l.booking FROM order_lines l JOIN orders o ON o.id = l.order_id WHERE o.number = ? LIMIT 1")
                .param(order.substring(order.lastIndexOf('/') + 1))
                .query(String.class)
                .single();
    }

    private void signIn(String role) throws IOException, InterruptedException {
        assertThat(sent("/desk/sign-in", "/desk/sign-in", "email=" + role + "@quillmere.example&password=" + PASSWORD.replace(' ', '+')))
                .isEqualTo(302);
    }

    @Test
    void staffMoveBookingsButGiveNoMoneyBack() throws Exception {
        signIn("staff");
        String order = order();
        assertThat(page(order).body())
                .contains("Move to another time")
                .doesNotContain("Give money back", "Cancel the booking");
        String refund = order + "/bookings/" + booking(order) + "/refund";
        assertThat(sent(order, refund, "amount=1&seen=0")).isEqualTo(403);
        assertThat(sent(order, order + "/release", "x=")).isEqualTo(403);
        assertThat(page("/desk/ways").statusCode()).isEqualTo(403);
        assertThat(page("/desk/payments").body()).doesNotContain("/desk/ways");
    }

    @Test
    void managersGiveMoneyBackButDoNotChangeHowGuestsPay() throws Exception {
        signIn("manager");
        String order = order();
        assertThat(page(order).body()).contains("Give money back", "Cancel the booking");
        String refund = order + "/bookings/" + booking(order) + "/refund";
        assertThat(sent(order, refund, "amount=a+lot&seen=0")).isEqualTo(302);
        assertThat(page("/desk/ways").statusCode()).isEqualTo(403);
        assertThat(page("/desk/payments").body()).doesNotContain("/desk/ways");
    }
}
