package gastfreund.app.hosts;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Base64;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** BCrypt over a hash of the password: BCrypt alone looks at 72 bytes only, and people may write longer sentences. */
final class LongPasswordEncoder implements PasswordEncoder {

    private final BCryptPasswordEncoder bcrypt;

    /** @param cost the binary logarithm of BCrypt's rounds */
    LongPasswordEncoder(int cost) {
        bcrypt = new BCryptPasswordEncoder(cost);
    }

    @Override
    public @Nullable String encode(@Nullable CharSequence password) {
        return bcrypt.encode(hashed(password));
    }

    @Override
    public boolean matches(@Nullable CharSequence password, @Nullable String encoded) {
        return bcrypt.matches(hashed(password), encoded);
    }

    private static String hashed(@Nullable CharSequence password) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256")
                    .digest(String.valueOf(password).getBytes(StandardCharsets.UTF_8));
            return Base64.getEncoder().encodeToString(hash);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }
}
