package gastfreund.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;

/** A guest's browser without scripts: it keeps the cookie of an account. */
public final class GuestBrowser {

    private final String house;
    private final String visitor;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    /**
     * @param house its address
     * @param visitor where it comes from
     */
    public GuestBrowser(String house, String visitor) {
        this.house = house;
        this.visitor = visitor;
    }

    public HttpResponse<String> get(String path) {
        return send(request(path));
    }

    public HttpResponse<String> post(String path, Map<String, ?> form) {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue().toString(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(house + path))
                .header("Accept", "text/html")
                .header(DemoHouseTest.FROM, visitor);
    }

    /** Whether it keeps a cookie. */
    public boolean keepsAny() {
        return !cookies.getCookieStore().getCookies().isEmpty();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
