package gastfreund.app.hosts;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Which passwords are good enough: long, and none of those that are tried first. */
@Component
public class Passwords {

    static final int LEAST = 12;
    public static final int MOST = 200;
    private static final int FEWEST_SIGNS = 5;

    private final Set<String> common;

    Passwords() {
        try (InputStream list = new ClassPathResource("hosts/common-passwords.txt").getInputStream()) {
            common = new String(list.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank())
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What is wrong with a password; empty where nothing is.
     *
     * @param own words that everybody knows of its owner, such as their name
     */
    public String problem(String password, String... own) {
        if (password.length() < LEAST || password.length() > MOST) {
            return "password.length";
        }
        String plain = password.toLowerCase(Locale.ROOT);
        boolean known = common.contains(plain) || plain.chars().distinct().count() < FEWEST_SIGNS;
        boolean itsOwn = Stream.of(own)
                .map(word -> word.strip().toLowerCase(Locale.ROOT))
                .anyMatch(plain::equals);
        return known || itsOwn ? "password.common" : "";
    }
}
