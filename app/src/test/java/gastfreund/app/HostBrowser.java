package gastfreund.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A browser at the desk, over HTTP: it keeps its session, and sends the token that forms carry. */
public final class HostBrowser {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String address;
    private final String from;
    private String token = "";

    /**
     * @param address the application's, without a slash at its end
     * @param from the address that a believed proxy tells
     */
    public HostBrowser(String address, String from) {
        this.address = address;
        this.from = from;
    }

    public HttpResponse<String> get(String path) {
        HttpResponse<String> page = send(request(path));
        Matcher found = TOKEN.matcher(page.body());
        if (found.find()) {
            token = found.group(1);
        }
        return page;
    }

    /** A file as it comes. */
    public HttpResponse<byte[]> bytes(String path) {
        try {
            return http.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Sends a form with the token of the page that was got last. */
    public HttpResponse<String> post(String path, Map<String, ?> form) {
        Map<String, Object> all = new HashMap<>(form);
        all.put("_csrf", token);
        String body = all.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue().toString(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Signs in; the answer to the form. */
    public HttpResponse<String> signIn(String email, String password) {
        get("/desk/sign-in");
        HttpResponse<String> answer = post("/desk/sign-in", Map.of("email", email, "password", password));
        get("/desk");
        return answer;
    }

    public HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/html")
                .header("X-Forwarded-For", from);
    }

    /** The token that forms carry now. */
    public String token() {
        assertThat(token).isNotEmpty();
        return token;
    }
}
