package gastfreund.app;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A small reverse proxy that has the application under a path. Of two requests it hands the path on with one and takes it away
 * from the other, as some proxies do and others don't.
 */
public final class Proxy implements AutoCloseable {

    private static final Set<String> HOP = Set.of(
            "host",
            "connection",
            "content-length",
            "transfer-encoding",
            "upgrade",
            "expect",
            "http2-settings",
            "keep-alive");

    private final HttpServer server;
    private final String mount;
    private final HttpClient http = HttpClient.newHttpClient();
    private final AtomicInteger turn = new AtomicInteger();
    private final List<String> strays = new CopyOnWriteArrayList<>();
    private volatile String behind = "";

    public Proxy(String mount) throws IOException {
        this.mount = mount;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::pass);
        server.setExecutor(Executors.newFixedThreadPool(8));
        server.start();
    }

    public String address() {
        return "http://localhost:" + server.getAddress().getPort() + mount;
    }

    public void behind(String application) {
        behind = application;
    }

    /** What was asked for outside of the path. */
    public List<String> strays() {
        return strays;
    }

    private void pass(HttpExchange exchange) {
        try (exchange) {
            String asked = exchange.getRequestURI().toString();
            if (!asked.equals(mount) && !asked.startsWith(mount + "/") && !asked.startsWith(mount + "?")) {
                strays.add(exchange.getRequestMethod() + " " + asked);
                exchange.sendResponseHeaders(404, -1);
                return;
            }
            String path = turn.incrementAndGet() % 2 == 0 ? asked : asked.substring(mount.length());
            HttpRequest.Builder request = HttpRequest.newBuilder(
                            URI.create(behind + (path.startsWith("/") ? path : "/" + path)))
                    .method(
                            exchange.getRequestMethod(),
                            HttpRequest.BodyPublishers.ofByteArray(
                                    exchange.getRequestBody().readAllBytes()))
                    .header("X-Forwarded-Host", exchange.getRequestHeaders().getFirst("Host"))
                    .header("X-Forwarded-For", "127.0.0.1")
                    .header("X-Forwarded-Proto", "http")
                    .header(
                            "X-Forwarded-Port",
                            Integer.toString(server.getAddress().getPort()));
            exchange.getRequestHeaders().forEach((name, values) -> {
                if (!HOP.contains(name.toLowerCase(Locale.ROOT))) {
                    values.forEach(value -> request.header(name, value));
                }
            });
            HttpResponse<byte[]> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            answer.headers().map().forEach((name, values) -> {
                if (!HOP.contains(name.toLowerCase(Locale.ROOT))) {
                    exchange.getResponseHeaders().put(name, values);
                }
            });
            exchange.sendResponseHeaders(answer.statusCode(), answer.body().length == 0 ? -1 : answer.body().length);
            exchange.getResponseBody().write(answer.body());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
