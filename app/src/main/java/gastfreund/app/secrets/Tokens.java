package gastfreund.app.secrets;

import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.stereotype.Component;

/** Makes names and codes that nobody can guess. */
@Component
public class Tokens {

    /** No letters and digits that are taken for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private final SecureRandom random = new SecureRandom();

    /** 128 random bits, fit for an address. */
    public String next() {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** So many letters and digits, five random bits each, fit to be read aloud and typed. */
    public String letters(int count) {
        StringBuilder letters = new StringBuilder();
        for (int i = 0; i < count; i++) {
            letters.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return letters.toString();
    }
}
