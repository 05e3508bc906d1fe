package gastfreund.app.webhooks;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** Signs messages as Standard Webhooks say: over their id, the moment at which they are sent, and their body. */
final class Signature {

    /** How a secret begins as people see it. */
    static final String BEGINS = "whsec_";

    private static final String HMAC = "HmacSHA256";

    private Signature() {}

    /** @param secret as people see it */
    static String of(String secret, String message, Instant sent, String body) {
        try {
            Mac mac = Mac.getInstance(HMAC);
            mac.init(new SecretKeySpec(Base64.getDecoder().decode(secret.substring(BEGINS.length())), HMAC));
            byte[] signed =
                    mac.doFinal((message + "." + sent.getEpochSecond() + "." + body).getBytes(StandardCharsets.UTF_8));
            return "v1," + Base64.getEncoder().encodeToString(signed);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
