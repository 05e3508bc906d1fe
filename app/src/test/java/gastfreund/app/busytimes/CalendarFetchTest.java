package gastfreund.app.busytimes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import com.sun.net.httpserver.HttpServer;
import gastfreund.app.strangers.PublicHosts;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Calendars fetched from a server that behaves in all ways. */
class CalendarFetchTest {

    private static final BusySettings QUICK =
            new BusySettings(false, Duration.ofMinutes(10), Duration.ofMillis(300), Duration.ofSeconds(2));

    private HttpServer server;
    private CalendarFetch fetch;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        server.start();
        fetch = new CalendarFetch(QUICK, new PublicHosts(a -> a.getHostAddress().equals("127.0.0.1")));
    }

    @AfterEach
    void stop() throws IOException {
        server.stop(0);
        fetch.destroy();
    }

    private String at(String path, HttpHandler handler) {
        server.createContext(path, handler);
        return "http://127.0.0.1:" + server.getAddress().getPort() + path;
    }

    private static void answer(HttpExchange exchange, int status, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        if (bytes.length > 0) {
            exchange.getResponseBody().write(bytes);
        }
        exchange.close();
    }

    private CalendarFetch.Fetched fetched(String address) {
        return fetch.fetch(address, "", "");
    }

    @Test
    void aCalendarComesWithItsTagAndIsNotFetchedAgainWhileItIsTheSame() {
        String address = at("/a.ics", exchange -> {
            boolean same = "\"1\"".equals(exchange.getRequestHeaders().getFirst("If-None-Match"));
            exchange.getResponseHeaders().add("ETag", "\"1\"");
            answer(exchange, same ? 304 : 200, same ? "" : "BEGIN:VCALENDAR");
        });
        assertThat(fetched(address)).isEqualTo(new CalendarFetch.Content("BEGIN:VCALENDAR", "\"1\"", ""));
        assertThat(fetch.fetch(address, "\"1\"", "")).isEqualTo(new CalendarFetch.Unchanged());
    }

    @Test
    void whatDoesNotAnswerAsItShouldIsNamed() {
        assertThat(fetched(at("/gone", e -> answer(e, 404, "")))).isEqualTo(new CalendarFetch.Failed("status-404"));
        String round = at("/round", e -> {
            e.getResponseHeaders().add("Location", "/round");
            answer(e, 302, "");
        });
        assertThat(fetched(round)).isEqualTo(new CalendarFetch.Failed("redirects"));
        String elsewhere = at("/elsewhere", e -> {
            e.getResponseHeaders().add("Location", "file:///etc/passwd");
            answer(e, 302, "");
        });
        assertThat(fetched(elsewhere)).isEqualTo(new CalendarFetch.Failed("redirects"));
        assertThat(fetched("http://nobody.invalid/a.ics")).isEqualTo(new CalendarFetch.Failed("unknown-host"));
        String large = at("/large", e -> {
            e.sendResponseHeaders(200, 0);
            try (OutputStream out = e.getResponseBody()) {
                byte[] piece = new byte[1024 * 1024];
                for (int i = 0; i < 12; i++) {
                    out.write(piece);
                }
            }
        });
        assertThat(fetched(large)).isEqualTo(new CalendarFetch.Failed("too-large"));
        String silent = at("/silent", e -> {
            e.sendResponseHeaders(200, 100);
            e.getResponseBody().write('B');
            e.getResponseBody().flush();
        });
        assertThat(fetched(silent)).isEqualTo(new CalendarFetch.Failed("slow"));
    }

    /** Whoever sends without end keeps nobody waiting, whatever status they begin with. */
    @Test
    void whatNeverEndsIsCutOff() {
        for (int status : new int[] {200, 500}) {
            String endless = at("/endless" + status, e -> {
                e.sendResponseHeaders(status, 0);
                try (OutputStream out = e.getResponseBody()) {
                    while (true) {
                        out.write(new byte[8192]);
                    }
                } catch (IOException nobodyListens) {
                    e.close();
                }
            });
            assertTimeoutPreemptively(Duration.ofSeconds(20), () -> assertThat(fetched(endless))
                    .isEqualTo(new CalendarFetch.Failed(status == 200 ? "too-large" : "status-500")));
        }
    }

    @Test
    void whatLeadsIntoAPrivateNetworkIsNotAskedAlsoBehindARedirect() throws Exception {
        String inward = at("/inward", e -> {
            e.getResponseHeaders()
                    .add("Location", "http://127.0.0.2:" + server.getAddress().getPort() + "/a.ics");
            answer(e, 302, "");
        });
        assertThat(fetched(inward)).isEqualTo(new CalendarFetch.Failed("private"));
        CalendarFetch strict = new CalendarFetch(QUICK);
        for (String host : List.of("127.0.0.1", "localhost", "[::1]", "[::ffff:127.0.0.1]", "0.0.0.0", "2130706433")) {
            assertThat(strict.fetch("http://" + host + ":" + server.getAddress().getPort() + "/a.ics", "", ""))
                    .as(host)
                    .isIn(new CalendarFetch.Failed("private"), new CalendarFetch.Failed("unknown-host"));
        }
        strict.destroy();
    }

    @Test
    void addressesOfNobodysOwnAreKnown() throws Exception {
        for (String inside : List.of(
                "10.1.2.3",
                "172.16.0.1",
                "172.31.255.1",
                "192.168.0.1",
                "169.254.169.254",
                "100.64.0.1",
                "0.1.2.3",
                "198.18.0.1",
                "224.0.0.1",
                "255.255.255.255",
                "fd00::1",
                "fe80::1",
                "::1",
                "64:ff9b::a00:1",
                "2002:a00:1::",
                "2001:db8::1",
                "ff02::1")) {
            assertThat(PublicHosts.isPublic(InetAddress.getByName(inside)))
                    .as(inside)
                    .isFalse();
        }
        for (String outside :
                List.of("93.184.216.34", "172.32.0.1", "100.128.0.1", "2a00:1450::1", "64:ff9b::808:808")) {
            assertThat(PublicHosts.isPublic(InetAddress.getByName(outside)))
                    .as(outside)
                    .isTrue();
        }
    }
}
