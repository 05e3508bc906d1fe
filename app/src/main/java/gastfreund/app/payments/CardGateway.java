package gastfreund.app.payments;

import gastfreund.app.setup.Outside;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
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

    /** How far ahead the gateway may say that a guest can pay. */
    private static final Duration LONGEST = Duration.ofDays(1);

    private static final int MOST_BYTES = 64 * 1024;
    private static final int MOST_REASON = 300;
    private static final Pattern REFERENCE = Pattern.compile("[A-Za-z0-9_.-]{1,100}+");
    private static final Pattern CURRENCY = Pattern.compile("[A-Z]{3}");
    private static final Pattern CONTROL = Pattern.compile("\\p{Cntrl}++");

    /** What a gateway said, unchecked: any of it may be missing. */
    private record Said(
            String id, String state, Long amount, String currency, String reason, String payUrl, String expiresAt) {}

    private final GatewayAccount account;
    private final RestClient http;
    private final Clock clock;

    CardGateway(GatewayAccount account, Duration patience, Clock clock) {
        this.account = account;
        this.http = RestClient.builder()
                .baseUrl(account.key("url") + "/gateway/payments")
                .defaultHeader("Authorization", "Bearer " + account.key("key"))
                .requestFactory(Outside.calls(patience))
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

    @Override
    public boolean knowsUs() {
        return asked(
                http.get(),
                status -> status.is2xxSuccessful() || status.is4xxClientError(),
                (status, body) -> status.is2xxSuccessful());
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
        return post("", "", wish.key(), body);
    }

    @Override
    public Told ask(String reference) {
        return told(http.get().uri("/{id}", reference));
    }

    @Override
    public Told cancel(String key, String reference) {
        return post("/{id}/void", reference, key, Map.of());
    }

    @Override
    public Told capture(String key, String reference, Money amount) {
        return post("/{id}/capture", reference, key, Map.of("amount", amount.minor()));
    }

    @Override
    public Told release(String key, String reference, Money amount) {
        return post("/{id}/void", reference, key, Map.of("amount", amount.minor()));
    }

    @Override
    public Told refund(String key, String reference, Money amount) {
        return post("/{id}/refund", reference, key, Map.of("amount", amount.minor()));
    }

    private Told post(String path, String reference, String key, Map<String, Object> body) {
        return told(http.post()
                .uri(path, reference)
                .header("Idempotency-Key", key)
                .contentType(MediaType.APPLICATION_JSON)
                .body(JSON.writeValueAsString(body)));
    }

    private Told told(RestClient.RequestHeadersSpec<?> request) {
        return asked(request, HttpStatusCode::is2xxSuccessful, (status, body) -> parse(body));
    }

    /** Asks, and reads no more of the answer than an answer can be long. */
    private static <T> T asked(
            RestClient.RequestHeadersSpec<?> request,
            Predicate<HttpStatusCode> expected,
            BiFunction<HttpStatusCode, String, T> answer) {
        try {
            return request.exchange((sent, received) -> {
                HttpStatusCode status = received.getStatusCode();
                if (!expected.test(status)) {
                    throw new GatewayException("the gateway answered " + status.value());
                }
                return answer.apply(
                        status, new String(received.getBody().readNBytes(MOST_BYTES), StandardCharsets.UTF_8));
            });
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

    private Told parse(String body) {
        try {
            return checked(JSON.readValue(body, Said.class));
        } catch (JacksonException | IllegalArgumentException | DateTimeException e) {
            throw new GatewayException("the gateway's answer makes no sense", e);
        }
    }

    /** What the gateway says is checked like any input ({@code docs/money.md}, "Orders, payments, holds"). */
    private Told checked(Said said) {
        require(said != null, "nothing");
        require(said.id() != null && REFERENCE.matcher(said.id()).matches(), "no name of a payment");
        require(said.state() != null, "no state");
        require(said.amount() != null && said.amount() > 0, "no amount");
        require(said.currency() != null && CURRENCY.matcher(said.currency()).matches(), "no currency");
        require(said.payUrl() != null && isOfAccount(URI.create(said.payUrl())), "no page of the account's own host");
        require(said.expiresAt() != null, "no end");
        Instant expires = Instant.parse(said.expiresAt());
        require(!expires.isAfter(clock.instant().plus(LONGEST)), "an end more than a day ahead");
        return new Told(
                said.id(),
                PaymentState.ofCode(said.state()),
                said.reason() == null ? "" : cut(CONTROL.matcher(said.reason()).replaceAll(" ")),
                said.payUrl(),
                expires,
                new Sum(Money.ofMinor(said.amount()), said.currency()));
    }

    private boolean isOfAccount(URI page) {
        String scheme = page.getScheme();
        return ("http".equals(scheme) || "https".equals(scheme))
                && page.getHost() != null
                && page.getHost()
                        .equalsIgnoreCase(URI.create(account.key("url")).getHost());
    }

    private static String cut(String reason) {
        return reason.substring(0, Math.min(MOST_REASON, reason.length()));
    }

    private static void require(boolean makesSense, String what) {
        if (!makesSense) {
            throw new IllegalArgumentException(what);
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
