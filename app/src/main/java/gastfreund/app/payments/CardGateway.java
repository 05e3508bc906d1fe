package gastfreund.app.payments;

import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.net.http.HttpClient;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Map;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.MediaType;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.HttpClientErrorException;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Cards, through a gateway that is reached over HTTP: the practice gateway that ships, or a live one of its kind. */
final class CardGateway implements Gateway {

    /** How far a notification's time may be from ours. */
    private static final Duration FRESH = Duration.ofMinutes(5);

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private record Said(String id, String state, String reason, String payUrl, String expiresAt) {

        Told told() {
            return new Told(id, PaymentState.ofCode(state), reason, payUrl, Instant.parse(expiresAt));
        }
    }

    private final GatewayAccount account;
    private final RestClient http;
    private final Clock clock;

    CardGateway(GatewayAccount account, Duration patience, Clock clock) {
        JdkClientHttpRequestFactory requests =
                new JdkClientHttpRequestFactory(HttpClient.newBuilder().connectTimeout(patience).build());
        requests.setReadTimeout(patience);
        this.account = account;
        this.http = RestClient.builder()
                .baseUrl(account.key("url") + "/gateway/payments")
                .defaultHeader("Authorization", "Bearer " + account.key("key"))
                .requestFactory(requests)
                .build();
        this.clock = clock;
    }

    @Override
    public GatewayAccount account() {
        return account;
    }

    /** The gateway says it with each payment. */
    @Override
    public Duration within() {
        return Duration.ZERO;
    }

    /**
     * Whether the gateway is there and knows our key.
     *
     * @throws GatewayException where it cannot be reached
     */
    boolean knowsUs() {
        try {
            http.get().retrieve().toBodilessEntity();
            return true;
        } catch (HttpClientErrorException e) {
            return false;
        } catch (RestClientException e) {
            throw new GatewayException("the gateway does not answer", e);
        }
    }

    @Override
    public Told create(Wish wish) {
        Map<String, Object> body = Map.of(
                "amount", wish.amount().minor(),
                "currency", wish.currency(),
                "capture", wish.captureLater() ? "later" : "now",
                "description", wish.description(),
                "returnUrl", wish.returnTo(),
                "notifyUrl", wish.notifyAt());
        return post("", wish.key(), body);
    }

    @Override
    public Told ask(String reference) {
        try {
            return parse(http.get().uri("/{id}", reference).retrieve().body(String.class));
        } catch (RestClientException e) {
            throw new GatewayException("the gateway does not answer", e);
        }
    }

    @Override
    public Told cancel(String key, String reference) {
        return post("/" + reference + "/void", key, Map.of());
    }

    @Override
    public Told capture(String key, String reference, Money amount) {
        return post("/" + reference + "/capture", key, Map.of("amount", amount.minor()));
    }

    @Override
    public Told release(String key, String reference, Money amount) {
        return post("/" + reference + "/void", key, Map.of("amount", amount.minor()));
    }

    @Override
    public Told refund(String key, String reference, Money amount) {
        return post("/" + reference + "/refund", key, Map.of("amount", amount.minor()));
    }

    private Told post(String path, String key, Map<String, Object> body) {
        try {
            return parse(http.post()
                    .uri(path)
                    .header("Idempotency-Key", key)
                    .contentType(MediaType.APPLICATION_JSON)
                    .body(JSON.writeValueAsString(body))
                    .retrieve()
                    .body(String.class));
        } catch (RestClientException e) {
            throw new GatewayException("the gateway does not answer", e);
        }
    }

    @Override
    public Told read(String time, String signature, String body) {
        byte[] expected = sign(time + "." + body);
        byte[] given;
        Instant sent;
        try {
            given = HexFormat.of().parseHex(signature);
            sent = Instant.ofEpochSecond(Long.parseLong(time));
        } catch (IllegalArgumentException | DateTimeException e) {
            throw new GatewayException("the notification's signature cannot be read", e);
        }
        if (!MessageDigest.isEqual(expected, given)) {
            throw new GatewayException("the notification is not the gateway's");
        }
        if (Duration.between(sent, clock.instant()).abs().compareTo(FRESH) > 0) {
            throw new GatewayException("the notification is too old");
        }
        return parse(body);
    }

    private static Told parse(String body) {
        try {
            return JSON.readValue(body, Said.class).told();
        } catch (JacksonException | IllegalArgumentException | DateTimeException e) {
            throw new GatewayException("the gateway's answer cannot be read", e);
        }
    }

    private byte[] sign(String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(account.key("secret").getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
