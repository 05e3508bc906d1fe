package gastfreund.standins.gateway;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes what the gateway says of a payment, with what is wrong with it on request. */
@Component
class Answers {

    private static final Duration YEAR = Duration.ofDays(365);

    private final Control control;
    private final JsonMapper json;

    Answers(Control control, JsonMapper json) {
        this.control = control;
        this.json = json;
    }

    String written(Payment.Told told) {
        return switch (control.saying()) {
            case USUAL -> json.writeValueAsString(told);
            case NULL -> "null";
            case NO_END -> json.writeValueAsString(with(told, told.amount(), told.currency(), told.payUrl(), null));
            case FAR_END -> json.writeValueAsString(with(
                    told,
                    told.amount(),
                    told.currency(),
                    told.payUrl(),
                    Instant.parse(told.expiresAt()).plus(YEAR).toString()));
            case OTHER_AMOUNT -> json.writeValueAsString(
                    with(told, told.amount() + 1, told.currency(), told.payUrl(), told.expiresAt()));
            case OTHER_CURRENCY -> json.writeValueAsString(
                    with(told, told.amount(), "ZZZ", told.payUrl(), told.expiresAt()));
            case OTHER_HOST -> json.writeValueAsString(
                    with(told, told.amount(), told.currency(), "https://elsewhere.example/pay", told.expiresAt()));
            case NONSENSE -> "<html>We will be back soon.</html>";
        };
    }

    private static Payment.Told with(
            Payment.Told told, long amount, String currency, String payUrl, @Nullable String end) {
        return new Payment.Told(
                told.id(),
                told.state(),
                amount,
                currency,
                told.captured(),
                told.released(),
                told.refunded(),
                told.reason(),
                payUrl,
                end);
    }
}
