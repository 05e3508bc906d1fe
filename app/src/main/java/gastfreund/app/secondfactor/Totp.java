package gastfreund.app.secondfactor;

import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.Locale;
import java.util.OptionalLong;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** Codes that change with time (RFC 6238): six digits of HMAC-SHA-1, every thirty seconds. */
final class Totp {

    private static final String BASE32 = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";
    private static final int STEP_SECONDS = 30;
    private static final int MODULUS = 1_000_000;

    /** Clocks differ: the step before and the one after are as good. */
    private static final int DRIFT = 1;

    private Totp() {}

    /** Bytes as apps want them written (RFC 4648, base 32, without padding); the length must be a multiple of five. */
    static String base32(byte[] bytes) {
        StringBuilder text = new StringBuilder();
        long bits = 0;
        int held = 0;
        for (byte one : bytes) {
            bits = bits << 8 | one & 0xff;
            held += 8;
            while (held >= 5) {
                held -= 5;
                text.append(BASE32.charAt((int) (bits >> held & 31)));
            }
        }
        return text.toString();
    }

    private static byte[] bytes(String base32) {
        ByteBuffer bytes = ByteBuffer.allocate(base32.length() * 5 / 8);
        long bits = 0;
        int held = 0;
        for (char one : base32.toCharArray()) {
            bits = bits << 5 | BASE32.indexOf(one);
            held += 5;
            if (held >= 8) {
                held -= 8;
                bytes.put((byte) (bits >> held));
            }
        }
        return bytes.array();
    }

    /** The code of a step of time. */
    static String code(String secret, long step) {
        try {
            Mac mac = Mac.getInstance("HmacSHA1");
            mac.init(new SecretKeySpec(bytes(secret), "HmacSHA1"));
            byte[] hash =
                    mac.doFinal(ByteBuffer.allocate(Long.BYTES).putLong(step).array());
            int offset = hash[hash.length - 1] & 15;
            int number = ByteBuffer.wrap(hash, offset, Integer.BYTES).getInt() & Integer.MAX_VALUE;
            return String.format(Locale.ROOT, "%06d", number % MODULUS);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    static long step(Instant now) {
        return Math.floorDiv(now.getEpochSecond(), STEP_SECONDS);
    }

    /** The step to which a code belongs, around now and after the last that was used; empty where it is none of them. */
    static OptionalLong stepOf(String secret, String code, Instant now, long used) {
        for (long step = step(now) - DRIFT; step <= step(now) + DRIFT; step++) {
            if (step > used && code(secret, step).equals(code)) {
                return OptionalLong.of(step);
            }
        }
        return OptionalLong.empty();
    }
}
