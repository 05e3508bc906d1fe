package gastfreund.app.setup;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.format.annotation.DateTimeFormat.ISO;

/**
 * What is set from outside about the house as a whole; what concerns one package alone, that has settings of its own for.
 *
 * @param home the folder of all data
 * @param demo the folder of the demo house to start with; empty: none
 * @param demoWeeks so many weeks that are over the demo has more than it is written with
 * @param today the date that the demo takes for today; null: today
 * @param ahead how far the clock is ahead of the machine's; for tests
 */
@ConfigurationProperties("gastfreund")
public record Settings(
        @DefaultValue("data") String home,
        @DefaultValue("") String demo,
        @DefaultValue("0") int demoWeeks,
        @DateTimeFormat(iso = ISO.DATE) @Nullable LocalDate today,
        @DefaultValue("0s") Duration ahead) {

    /** @throws IllegalArgumentException where a house that is not the demo is to live on another day */
    public Settings {
        if (today != null && demo.isBlank()) {
            throw new IllegalArgumentException("GASTFREUND_TODAY is for the demo alone: a real house lives today.");
        }
    }

    /** The folder of all data. */
    public Path folder() {
        return Path.of(home);
    }

    /** The folder of the demo house; empty: none. */
    public Optional<Path> demoFolder() {
        return isDemo() ? Optional.of(Path.of(demo)) : Optional.empty();
    }

    public boolean isDemo() {
        return !demo.isBlank();
    }

    /** How far the clock is ahead of the machine's time: by whole days where the demo takes another date for today. */
    Duration aheadOf(Instant now) {
        return today == null
                ? ahead
                : Duration.ofDays(ChronoUnit.DAYS.between(LocalDate.ofInstant(now, ZoneOffset.UTC), today));
    }
}
