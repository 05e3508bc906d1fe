package gastfreund.standins;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param smtpPort where mail is taken in; 0 picks a free port
 * @param accounts of the gateway: the keys with which callers prove themselves, each with the secret that signs its
 *     notifications, as {@code key:secret}
 * @param payWithin how long a guest may take to pay
 */
@ConfigurationProperties("standins")
public record StandinsSettings(
        @DefaultValue("8082") int smtpPort,
        @DefaultValue({"practice-key:practice-secret", "live-key:live-secret"}) List<String> accounts,
        @DefaultValue("20m") Duration payWithin) {

    /** The secret of the account with a key; empty where there is no such account. */
    public Optional<String> secretOf(String key) {
        return accounts.stream()
                .filter(a -> a.startsWith(key + ":"))
                .map(a -> a.substring(key.length() + 1))
                .findFirst();
    }
}
