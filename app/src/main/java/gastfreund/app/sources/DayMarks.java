package gastfreund.app.sources;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.Base64;
import java.util.HashSet;
import java.util.Set;

/**
 * Tells on one day who was seen before on it: by hashes with that day's own salt, in memory, so that nobody can be told again
 * on another. Not for several threads at once.
 */
public final class DayMarks {

    /** So many are told apart on a day; whoever comes after them does not count. */
    private static final int MOST = 100_000;

    private static final int SALT = 16;

    private final SecureRandom random = new SecureRandom();
    private final byte[] salt = new byte[SALT];
    private final Set<String> seen = new HashSet<>();
    private LocalDate day = LocalDate.EPOCH;

    /** Whether somebody or something was not seen on a day before. */
    public boolean isNew(LocalDate now, String what) {
        if (!now.equals(day)) {
            seen.clear();
            random.nextBytes(salt);
            day = now;
        }
        return seen.size() < MOST && seen.add(hashed(what));
    }

    private String hashed(String text) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update(salt);
            return Base64.getEncoder().encodeToString(digest.digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
