package gastfreund.app.secrets;

import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.stereotype.Component;

/** Makes names that nobody can guess: 128 random bits, fit for an address. */
@Component
public class Tokens {

    private final SecureRandom random = new SecureRandom();

    public String next() {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
