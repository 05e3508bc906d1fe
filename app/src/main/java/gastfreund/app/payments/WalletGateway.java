package gastfreund.app.payments;

import gastfreund.app.setup.Outside;
import gastfreund.core.money.Money;
import gastfreund.core.orders.PaymentState;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Wallets on guests' telephones. Guests type a token of their wallet on the house's own page; amounts are decimals; and
 * outcomes are told to nobody: whoever wants to know asks.
 */
final class WalletGateway implements Gateway {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private static final int OK = 200;
    private static final int REFUSED = 402;
    private static final int MOST_BYTES = 64 * 1024;
    private static final int MOST_REASON = 300;
    private static final Duration LONGEST = Duration.ofDays(1);
    private static final Pattern REFERENCE = Pattern.compile("[A-Za-z0-9_-]{1,100}+");
    private static final Pattern AMOUNT = Pattern.compile("\\d{1,10}+(?:\\.\\d{1,4}+)?+");
    private static final Pattern CONTROL = Pattern.compile("\\p{Cntrl}++");

    /** What the wallet calls a payment's states. */
    private static final Map<String, PaymentState> STATES = Map.of(
            "open", PaymentState.CREATED,
            "pending", PaymentState.CREATED,
            "reserved", PaymentState.AUTHORISED,
            "paid", PaymentState.CAPTURED,
            "part_returned", PaymentState.PARTLY_REFUNDED,
            "returned", PaymentState.REFUNDED,
            "refused", PaymentState.FAILED,
            "closed", PaymentState.VOIDED,
            "lapsed", PaymentState.EXPIRED);

    /** What the wallet said, unchecked: any of it may be missing. */
    private record Said(
            @Nullable String intent,
            @Nullable String status,
            @Nullable String amount,
            @Nullable String currency,
            @Nullable String because,
            @Nullable Long seconds) {}

    private final GatewayAccount account;
    private final RestClient http;
    private final Clock clock;

    WalletGateway(GatewayAccount account, Duration patience, Clock clock) {
        this.account = account;
        this.clock = clock;
        this.http = RestClient.builder()
                .baseUrl(account.key("url") + "/wallet")
                .defaultHeader("Wallet-Key", account.key("key"))
                .requestFactory(Outside.calls(patience))
                .build();
    }

    @Override
    public GatewayAccount account() {
        return account;
    }

    @Override
    public boolean takesTokens() {
        return true;
    }

    /** The wallet says it with each payment. */
    @Override
    public Duration within() {
        return Duration.ZERO;
    }

    @Override
    public boolean knowsUs() {
        return answered(http.get().uri("/me"), Set.of(OK, 401)).status() == OK;
    }

    /** Guests pay on the house's own page, which lies beside the address to which others would tell outcomes. */
    @Override
    public Told create(Wish wish) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("amount", decimal(wish.amount(), wish.currency()));
        body.put("currency", wish.currency());
        body.put("memo", wish.description());
        body.put("reserve", wish.captureLater());
        Told told = post("/intents", "", wish.key(), body);
        String page = wish.notifyAt().substring(0, wish.notifyAt().lastIndexOf('/')) + "/tokens/" + wish.key();
        return new Told(told.reference(), told.state(), told.reason(), page, told.expires(), told.sum());
    }

    @Override
    public Told pay(String key, String reference, String token) {
        return post("/intents/{id}/token", reference, key, Map.of("token", token));
    }

    @Override
    public Told ask(String reference) {
        return read(answered(http.get().uri("/intents/{id}", reference), Set.of(OK)));
    }

    @Override
    public Told cancel(String key, String reference) {
        return post("/intents/{id}/close", reference, key, Map.of());
    }

    @Override
    public Told capture(String key, String reference, Money amount) {
        return part("/intents/{id}/take", key, reference, amount);
    }

    @Override
    public Told release(String key, String reference, Money amount) {
        return part("/intents/{id}/free", key, reference, amount);
    }

    @Override
    public Told refund(String key, String reference, Money amount) {
        return part("/intents/{id}/return", key, reference, amount);
    }

    /** Decimals need to know how many: the wallet is asked what the payment is in. */
    private Told part(String path, String key, String reference, Money amount) {
        Sum whole = ask(reference).sum();
        String currency = whole == null ? "" : whole.currency();
        return post(path, reference, key, Map.of("amount", decimal(amount, currency)));
    }

    @Override
    public Told read(String time, String signature, String body) {
        throw new GatewayException("a wallet tells nothing by itself");
    }

    private Told post(String path, String reference, String key, Map<String, Object> body) {
        Map<String, Object> once = new LinkedHashMap<>(body);
        once.put("once", key);
        return read(answered(
                http.post()
                        .uri(path, reference)
                        .contentType(MediaType.APPLICATION_JSON)
                        .body(JSON.writeValueAsString(once)),
                Set.of(OK, REFUSED)));
    }

    private record Answered(int status, String body) {}

    private static Answered answered(RestClient.RequestHeadersSpec<?> request, Set<Integer> expected) {
        try {
            return request.exchange((sent, received) -> {
                int status = received.getStatusCode().value();
                if (!expected.contains(status)) {
                    throw new GatewayException("the wallet answered " + status);
                }
                return new Answered(
                        status, new String(received.getBody().readNBytes(MOST_BYTES), StandardCharsets.UTF_8));
            });
        } catch (RestClientException e) {
            throw new GatewayException("the wallet does not answer", e);
        }
    }

    private Told read(Answered answered) {
        try {
            return checked(JSON.readValue(answered.body(), Said.class));
        } catch (JacksonException | IllegalArgumentException | ArithmeticException e) {
            throw new GatewayException("the wallet's answer makes no sense", e);
        }
    }

    /** What the wallet says is checked like any input ({@code docs/money.md}, "Orders, payments, holds"). */
    private Told checked(@Nullable Said said) {
        if (said == null
                || said.intent() == null
                || said.status() == null
                || said.amount() == null
                || said.currency() == null
                || said.seconds() == null) {
            throw new IllegalArgumentException("something is missing");
        }
        PaymentState state = STATES.get(said.status());
        boolean inTime = said.seconds() >= 0 && said.seconds() <= LONGEST.toSeconds();
        boolean named = REFERENCE.matcher(said.intent()).matches();
        if (state == null || !inTime || !named || !AMOUNT.matcher(said.amount()).matches()) {
            throw new IllegalArgumentException("something cannot be right");
        }
        String because =
                said.because() == null ? "" : CONTROL.matcher(said.because()).replaceAll(" ");
        Instant expires = clock.instant().plusSeconds(said.seconds()).truncatedTo(ChronoUnit.SECONDS);
        return new Told(
                said.intent(),
                state,
                because.substring(0, Math.min(MOST_REASON, because.length())),
                "",
                expires,
                new Sum(minor(said.amount(), said.currency()), said.currency()));
    }

    private static String decimal(Money amount, String currency) {
        return BigDecimal.valueOf(amount.minor(), digits(currency)).toPlainString();
    }

    /** @throws ArithmeticException where it is no whole number of the smallest unit */
    private static Money minor(String decimal, String currency) {
        return Money.ofMinor(new BigDecimal(decimal)
                .movePointRight(digits(currency))
                .setScale(0)
                .longValueExact());
    }

    /** @throws IllegalArgumentException where there is no such currency */
    private static int digits(String currency) {
        return Math.max(0, Currency.getInstance(currency).getDefaultFractionDigits());
    }
}
