package gastfreund.app.secondfactor;

import gastfreund.app.secrets.Secrets;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Knows who has a second factor, and whether a code is right. Each code is good once. */
@Service
public class SecondFactors {

    private static final String PURPOSE = "spare code";
    private static final Pattern SECRET = Pattern.compile("[A-Z2-7]{32}");
    private static final Pattern GAPS = Pattern.compile("[\\s-]");
    private static final int SECRET_BYTES = 20;
    private static final int SPARE = 10;
    private static final int SPARE_BYTES = 5;

    private final SecureRandom random = new SecureRandom();
    private final SecondFactorStore store;
    private final Secrets secrets;
    private final Clock clock;

    SecondFactors(SecondFactorStore store, Secrets secrets, Clock clock) {
        this.store = store;
        this.secrets = secrets;
        this.clock = clock;
    }

    public boolean isOn(long host) {
        return store.find(host).isPresent();
    }

    /** How many spare codes a host has left. */
    public int spare(long host) {
        return store.spare(host);
    }

    /** A new secret, which counts once a code of it was typed. */
    public String fresh() {
        return Totp.base32(bytes(SECRET_BYTES));
    }

    /** Whether a text could be a secret of ours. */
    public static boolean isSecret(String text) {
        return SECRET.matcher(text).matches();
    }

    /** The address that an app reads from a picture. */
    public static String address(String secret, String house, String account) {
        return "otpauth://totp/" + encoded(house) + ":" + encoded(account) + "?secret=" + secret + "&issuer="
                + encoded(house);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /**
     * Turns it on, where the code is right.
     *
     * @return the spare codes, which are shown this once; empty where the code is wrong
     */
    @Transactional
    public Optional<List<String>> turnOn(long host, String secret, String code) {
        OptionalLong step =
                isSecret(secret) ? Totp.stepOf(secret, plain(code), clock.instant(), 0) : OptionalLong.empty();
        if (step.isEmpty()) {
            return Optional.empty();
        }
        List<String> spare = Stream.generate(
                        () -> Totp.base32(bytes(SPARE_BYTES)).toLowerCase(Locale.ROOT))
                .limit(SPARE)
                .toList();
        store.put(
                host,
                secrets.encrypt(secret),
                step.getAsLong(),
                spare.stream().map(s -> mark(host, s)).toList());
        return Optional.of(spare);
    }

    private byte[] bytes(int count) {
        byte[] bytes = new byte[count];
        random.nextBytes(bytes);
        return bytes;
    }

    private String mark(long host, String code) {
        return secrets.mark(PURPOSE, host + "/" + code);
    }

    /** Whether a code of the app, or a spare one, is right; either is used up by it. */
    @Transactional
    public boolean isRight(long host, String code) {
        String plain = plain(code);
        Optional<SecondFactorStore.Kept> kept = store.find(host);
        if (kept.isEmpty() || plain.isEmpty()) {
            return kept.isEmpty();
        }
        OptionalLong step = Totp.stepOf(
                secrets.decrypt(kept.get().secret()),
                plain,
                clock.instant(),
                kept.get().step());
        return step.isPresent() ? store.use(host, step.getAsLong()) : store.useSpare(host, mark(host, plain));
    }

    private static String plain(String code) {
        return GAPS.matcher(code).replaceAll("").toLowerCase(Locale.ROOT);
    }

    @Transactional
    public void turnOff(long host) {
        store.delete(host);
    }
}
