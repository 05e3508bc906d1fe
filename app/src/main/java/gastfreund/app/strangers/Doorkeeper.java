package gastfreund.app.strangers;

import gastfreund.app.secrets.Secrets;
import gastfreund.app.secrets.Tokens;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps programs from ordering, and from keeping places by the dozen, without hurting people. A page carries a seal with the
 * instant at which it was made. Scripts in the browser find a number that, hashed together with the seal, begins with some
 * zero bits: a second of work that nobody notices, and dear for whoever sends thousands. Without scripts the page must only
 * have been open for a while, as it is anyway for people who read. A field that people do not see must stay empty. A seal
 * serves once.
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

    /** What a page is sealed for; a seal for one thing opens no other. */
    public enum Purpose {
        CHECKOUT,
        KEEP
    }

    /** The longest text that can be a seal. */
    public static final int MOST_SEAL = 120;

    private static final Duration LONGEST = Duration.ofHours(12);
    private static final int MOST_PROOF = 20;

    /** Each place that somebody keeps already makes the work for the next one twice as long, so many times. */
    private static final int MOST_MORE_BITS = 4;

    private final SealStore store;
    private final Secrets secrets;
    private final Tokens tokens;
    private final StrangerSettings.Door door;
    private final Clock clock;

    Doorkeeper(SealStore store, Secrets secrets, Tokens tokens, StrangerSettings settings, Clock clock) {
        this.store = store;
        this.secrets = secrets;
        this.tokens = tokens;
        this.door = settings.door();
        this.clock = clock;
    }

    /** How many zero bits a proof begins with. */
    public int bits() {
        return door.bits();
    }

    /** How many zero bits a proof begins with that is for one more place beside so many. */
    public int bitsBeside(int kept) {
        return door.bits() + Math.min(MOST_MORE_BITS, kept);
    }

    /** How long a page without scripts waits, in seconds. */
    public long pause() {
        return door.pause().toSeconds();
    }

    /** @param subject whom or what the seal is for */
    public String seal(Purpose purpose, String subject) {
        return sealOf(purpose, subject, clock.instant().getEpochSecond() + "." + tokens.next());
    }

    private String sealOf(Purpose purpose, String subject, String made) {
        byte[] signed = secrets.seal(purpose.name(), subject + " " + made);
        return made + "." + Base64.getUrlEncoder().withoutPadding().encodeToString(signed);
    }

    /**
     * Judges a form that came in.
     *
     * @param proof empty where no script has worked
     * @param bits how many zero bits the proof must begin with
     */
    public Verdict judge(Purpose purpose, String subject, String seal, String proof, int bits) {
        int end = seal.lastIndexOf('.');
        if (end < 0 || seal.length() > MOST_SEAL) {
            return Verdict.STALE;
        }
        String made = seal.substring(0, end);
        if (!MessageDigest.isEqual(utf8(seal), utf8(sealOf(purpose, subject, made)))) {
            return Verdict.STALE;
        }
        Duration open = age(made.substring(0, Math.max(0, made.indexOf('.'))));
        if (open.isNegative() || open.compareTo(LONGEST) > 0) {
            return Verdict.STALE;
        }
        return proves(seal, proof, bits) || open.compareTo(door.pause()) >= 0 ? Verdict.WELCOME : Verdict.SOON;
    }

    /**
     * Notes that a seal serves; belongs into the transaction that it serves.
     *
     * @return false where it has served before
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean spend(String seal) {
        return store.spend(seal, clock.instant());
    }

    /** Forgets seals that are too old to serve again. */
    @Transactional
    public void forgetOld() {
        store.forget(clock.instant().minus(LONGEST.multipliedBy(2)));
    }

    private Duration age(String made) {
        try {
            return Duration.between(Instant.ofEpochSecond(Long.parseLong(made)), clock.instant());
        } catch (NumberFormatException | DateTimeException | ArithmeticException e) {
            return Duration.ofSeconds(-1);
        }
    }

    private static boolean proves(String seal, String proof, int bits) {
        return !proof.isEmpty() && proof.length() <= MOST_PROOF && zeroBits(seal + ":" + proof) >= bits;
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
