package gastfreund.app.warming;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.feeds.Feed;
import gastfreund.app.feeds.Feeds;
import gastfreund.app.letters.Rehearsal;
import gastfreund.app.messages.Written;
import gastfreund.app.orders.Order;
import gastfreund.app.orders.OrdersTest;
import java.net.URI;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is rehearsed after a start is what a first order needs, and leaves nothing behind. */
class FirstOrderTest extends OrdersTest {

    private static final Pattern STAMP = Pattern.compile("DTSTAMP:\\d{8}T\\d{6}Z");

    @Autowired
    private FirstOrder first;

    @Autowired
    private Rehearsal rehearsal;

    @Autowired
    private Feeds feeds;

    @Test
    void theLettersAreThoseThatGoOut() {
        Order order = paid("private-lesson", "60", 49, "WORKS");
        List<Written> sent = letters.ofOrder(order.id());
        assertThat(rehearsal.placed(order, order.certain().get(0)))
                .extracting(FirstOrderTest::unstamped)
                .containsExactlyElementsOf(
                        sent.stream().map(FirstOrderTest::unstamped).toList());
        assertThat(first.rehearse()).contains("/bookings/" + order.token());
        assertThat(letters.ofOrder(order.id())).hasSameSizeAs(sent);
    }

    /** A letter, whenever its calendar file was made. */
    private static String unstamped(Written letter) {
        return STAMP.matcher(letter.toString()).replaceAll("");
    }

    @Test
    void theCalendarIsTheHouses() {
        paid("private-lesson", "60", 50, "WORKS");
        String feed = URI.create(feeds.address(Feed.house())).getPath();
        assertThat(feeds.ofHouse()).contains("BEGIN:VEVENT").isEqualTo(get(feed).body());
    }
}
