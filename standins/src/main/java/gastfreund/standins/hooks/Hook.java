package gastfreund.standins.hooks;

import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** An address that is told something: it takes what is signed with its secret and fresh, each message once. */
final class Hook {

    private final List<Told> told = new ArrayList<>();
    private String secret = "";
    private int answers = 204;
    private long apart = 300;
    private final Map<String, String> taken = new LinkedHashMap<>();

    /**
     * What came.
     *
     * @param right whether it was signed with the secret, and is fresh
     */
    record Told(String id, String body, boolean right) {}

    synchronized void set(String other, int status, long seconds) {
        secret = other;
        answers = status;
        apart = seconds;
    }

    /** The status with which it is answered. */
    synchronized int take(String id, String timestamp, String signatures, String body, long now) {
        boolean right = isFresh(timestamp, now) && isSigned(id, timestamp, signatures, body);
        told.add(new Told(id, body, right));
        if (!right) {
            return 401;
        }
        if (answers < 300) {
            taken.putIfAbsent(id, body);
        }
        return answers;
    }

    private boolean isFresh(String timestamp, long now) {
        return timestamp.length() < 16
                && timestamp.chars().allMatch(c -> c >= '0' && c <= '9')
                && Math.abs(Long.parseLong(timestamp) - now) <= apart;
    }

    private boolean isSigned(String id, String timestamp, String signatures, String body) {
        byte[] wanted = signed(id + "." + timestamp + "." + body);
        for (String one : signatures.split(" ")) {
            if (one.startsWith("v1,")
                    && MessageDigest.isEqual(
                            one.substring("v1,".length()).getBytes(StandardCharsets.UTF_8),
                            Base64.getEncoder().encode(wanted))) {
                return true;
            }
        }
        return false;
    }

    private byte[] signed(String text) {
        try {
            byte[] key = Base64.getDecoder().decode(secret.substring(secret.indexOf('_') + 1));
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException | InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    /** All that came, taken or not. */
    synchronized List<Told> told() {
        return List.copyOf(told);
    }

    /** What was taken, each message once. */
    synchronized List<String> taken() {
        return List.copyOf(taken.values());
    }
}
