package gastfreund.app.orders;

import gastfreund.app.house.Secrets;
import gastfreund.app.house.Settings;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import org.springframework.stereotype.Component;

/**
 * Keeps programs from ordering without hurting people. A checkout page carries a seal with the instant at which it was
 * made. Scripts in the browser find a number that, hashed together with the seal, begins with some zero bits: a second of
 * work that nobody notices, and dear for whoever sends thousands. Without scripts the page must only have been open for
 * a while, as it is anyway for people who write. A field that people do not see must stay empty.
 */
@Component
public class Doorkeeper {

    /** What becomes of a form. */
    public enum Verdict {
        WELCOME,
        /** Sent too soon for somebody without scripts; it is welcome in a moment. */
        SOON,
        /** The page is not ours, or was open for too long; it is made anew. */
        STALE
    }

    private static final Duration LONGEST = Duration.ofHours(12);

    private final Secrets secrets;
    private final Settings.Door door;
    private final Clock clock;

    Doorkeeper(Secrets secrets, Settings settings, Clock clock) {
        this.secrets = secrets;
        this.door = settings.door();
        this.clock = clock;
    }

    /** How many zero bits a proof begins with. */
    public int bits() {
        return door.bits();
    }

    /** How long a page without scripts waits, in seconds. */
    public long pause() {
        return door.pause().toSeconds();
    }

    /** A seal for a basket's checkout. */
    public String seal(String basket) {
        return sealOf(basket, Long.toString(clock.instant().getEpochSecond()));
    }

    private String sealOf(String basket, String made) {
        byte[] signed = secrets.seal("checkout", basket + " " + made);
        return made + "." + Base64.getUrlEncoder().withoutPadding().encodeToString(signed);
    }

    /**
     * Judges a form that came in.
     *
     * @param proof empty where no script has worked
     * @param trap what stands in the field that people do not see
     */
    Verdict judge(String basket, String seal, String proof, String trap) {
        String made = seal.substring(0, Math.max(0, seal.indexOf('.')));
        if (!MessageDigest.isEqual(utf8(seal), utf8(sealOf(basket, made)))) {
            return Verdict.STALE;
        }
        Duration open = age(made);
        if (open.isNegative() || open.compareTo(LONGEST) > 0) {
            return Verdict.STALE;
        }
        if (!trap.isEmpty()) {
            return Verdict.SOON;
        }
        return proves(seal, proof) || open.compareTo(door.pause()) >= 0 ? Verdict.WELCOME : Verdict.SOON;
    }

    private Duration age(String made) {
        try {
            return Duration.between(Instant.ofEpochSecond(Long.parseLong(made)), clock.instant());
        } catch (NumberFormatException | DateTimeException e) {
            return Duration.ofSeconds(-1);
        }
    }

    private boolean proves(String seal, String proof) {
        return !proof.isEmpty() && proof.length() <= 20 && zeroBits(seal + ":" + proof) >= door.bits();
    }

    /** With how many zero bits the SHA-256 of a text begins. */
    public static int zeroBits(String text) {
        try {
            int bits = 0;
            for (byte b : MessageDigest.getInstance("SHA-256").digest(utf8(text))) {
                if (b != 0) {
                    return bits + Integer.numberOfLeadingZeros(b & 0xff) - 24;
                }
                bits += Byte.SIZE;
            }
            return bits;
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
