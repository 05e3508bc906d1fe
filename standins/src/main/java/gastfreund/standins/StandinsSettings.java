package gastfreund.standins;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.format.annotation.DateTimeFormat.ISO;

/**
 * @param smtpPort where mail is taken in; 0 picks a free port
 * @param imapPort where mailboxes are read; 0 picks a free port
 * @param accounts of the gateway: the keys with which callers prove themselves, each with the secret that signs its
 *     notifications, as {@code key:secret}
 * @param payWithin how long a guest may take to pay
 * @param today the date that is taken for today; null: today
 * @param house where the house is, for the neighbour's pages
 * @param ahead how far the clock is ahead of the machine's; for tests
 */
@ConfigurationProperties("standins")
public record StandinsSettings(
        @DefaultValue("8082") int smtpPort,
        @DefaultValue("0") int imapPort,
        @DefaultValue({"practice-key:practice-secret", "live-key:live-secret"}) List<String> accounts,
        @DefaultValue("20m") Duration payWithin,
        @DefaultValue("http://localhost:8080") String house,
        @DateTimeFormat(iso = ISO.DATE) LocalDate today,
        @DefaultValue("0s") Duration ahead) {

    /** The stand-ins live on the same day as whoever calls them. */
    Clock clock() {
        Clock machine = Clock.systemUTC();
        Duration days = today == null ? ahead : Duration.ofDays(ChronoUnit.DAYS.between(LocalDate.now(machine), today));
        return Clock.offset(machine, days);
    }

    /** The secret of the account with a key; empty where there is no such account. */
    public Optional<String> secretOf(String key) {
        return accounts.stream()
                .filter(a -> a.startsWith(key + ":"))
                .map(a -> a.substring(key.length() + 1))
                .findFirst();
    }
}
