package gastfreund.app.payments;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.junit.jupiter.api.Test;

/** Who may tell us that money came. */
class NotificationTest extends DemoHouseTest {

    private static final String BODY =
            "{\"id\":\"pay_unknown\",\"state\":\"captured\",\"amount\":100,\"currency\":\"EUR\",\"reason\":\"\",\"payUrl\":\"http://localhost/pay/x\",\"expiresAt\":\"2027-01-01T00:00:00Z\"}";

    private int tell(String time, String signature, String body) {
        return send(HttpRequest.newBuilder(URI.create(address("/payments/practice-card/notifications")))
                        .header("Content-Type", "application/json")
                        .header("Gateway-Time", time)
                        .header("Gateway-Signature", signature)
                        .POST(HttpRequest.BodyPublishers.ofString(body)))
                .statusCode();
    }

    private static String sign(String secret, String text) throws Exception {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
        return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
    }

    private String now() {
        return Long.toString(clock.instant().getEpochSecond());
    }

    @Test
    void theRightSignatureIsTaken() throws Exception {
        assertThat(tell(now(), sign("practice-secret", now() + "." + BODY), BODY))
                .isIn(204, 404);
    }

    @Test
    void aWrongSignatureIsRefused() throws Exception {
        assertThat(tell(now(), sign("guessed", now() + "." + BODY), BODY)).isEqualTo(403);
        assertThat(tell(now(), "no hex", BODY)).isEqualTo(403);
    }

    @Test
    void aChangedBodyIsRefused() throws Exception {
        String signature = sign("practice-secret", now() + "." + BODY);
        assertThat(tell(now(), signature, BODY.replace("unknown", "other"))).isEqualTo(403);
    }

    @Test
    void anOldOneIsRefused() throws Exception {
        String old = Long.toString(clock.instant().getEpochSecond() - 400);
        assertThat(tell(old, sign("practice-secret", old + "." + BODY), BODY)).isEqualTo(403);
    }
}
