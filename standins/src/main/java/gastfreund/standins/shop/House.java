package gastfreund.standins.shop;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the shop asks of the house, over HTTP. Whoever hears no answer asks again with the same key. */
final class House {

    private static final int TRIES = 3;
    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newHttpClient();
    private final String address;
    private final String key;

    /**
     * @param address of what the house answers to programs, without a slash at its end
     * @param key that the house made for the shop
     */
    House(String address, String key) {
        this.address = address;
        this.key = key;
    }

    /** @param body what the house said, which is a problem (RFC 9457) where the status is above 399 */
    record Answer(int status, JsonNode body) {

        boolean isDone() {
            return status < 400;
        }

        /** What was wrong, by the end of the problem's type. */
        String why() {
            String type = body.path("type").asString("");
            return type.substring(type.lastIndexOf('/') + 1);
        }
    }

    /** @throws UnreachableException where it does not answer */
    Answer get(String path) {
        return send(request(path).GET());
    }

    /**
     * Asks for something to be done, once.
     *
     * @param once names the wish: sent again, it is not done again
     */
    Answer post(String path, Map<String, Object> body, String once) {
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "application/json")
                .header("Idempotency-Key", once)
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
        for (int i = 1; ; i++) {
            try {
                return send(request);
            } catch (UnreachableException e) {
                if (i == TRIES) {
                    throw e;
                }
            }
        }
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .header("Authorization", "Bearer " + key);
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(answer.statusCode(), JSON.readTree(answer.body()));
        } catch (IOException e) {
            throw new UnreachableException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new UnreachableException(e);
        }
    }

    /** The house does not answer. */
    static final class UnreachableException extends RuntimeException {

        private static final long serialVersionUID = 1L;

        UnreachableException(Exception cause) {
            super(cause);
        }
    }
}
