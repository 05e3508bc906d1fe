package gastfreund.app.backups;

import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Entry;
import gastfreund.app.rounds.Kind;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.setup.Settings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** The house's own backups: one each night, kept for as many days as the house has set. */
@Component
public class Backups {

    private static final Pattern NAME = Pattern.compile("house-(\\d{8}T\\d{6}Z)\\.zip");
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'");
    private static final LocalTime NIGHT = LocalTime.of(3, 0);

    /** One that is there. */
    public record Kept(Path file, Instant at, long bytes) {}

    private final BackupSettings settings;
    private final Path home;
    private final boolean demo;
    private final CatalogueService catalogues;
    private final Rounds rounds;
    private final Clock clock;

    Backups(BackupSettings settings, Settings house, CatalogueService catalogues, Rounds rounds, Clock clock) {
        this.settings = settings;
        this.home = house.folder();
        this.demo = house.isDemo();
        this.catalogues = catalogues;
        this.rounds = rounds;
        this.clock = clock;
    }

    /** Where they lie. */
    public Path folder() {
        return settings.folder().isBlank() ? home.resolve("backups") : Path.of(settings.folder());
    }

    /** Whether the key is in them. */
    public boolean haveKey() {
        return !settings.passphrase().isEmpty();
    }

    /** Those that are there, the newest first. */
    public List<Kept> all() {
        if (Files.notExists(folder())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder())) {
            return files.flatMap(f -> kept(f).stream())
                    .sorted(Comparator.comparing(Kept::at).reversed())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Optional<Kept> kept(Path file) {
        Matcher name = NAME.matcher(String.valueOf(file.getFileName()));
        if (!name.matches()) {
            return Optional.empty();
        }
        try {
            Instant at = LocalDateTime.parse(name.group(1), WRITTEN).toInstant(ZoneOffset.UTC);
            return Optional.of(new Kept(file, at, Files.size(file)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Takes one now, and lets those go that are too old. */
    public Kept take() {
        Instant now = clock.instant();
        Path file = folder().resolve("house-" + WRITTEN.withZone(ZoneOffset.UTC).format(now) + ".zip");
        Optional<char[]> passphrase =
                Optional.of(settings.passphrase().toCharArray()).filter(p -> p.length > 0);
        Backup.Made made = Backup.write(home, file, passphrase, now);
        letGo(now);
        return new Kept(made.file(), now, made.bytes());
    }

    /** What is too old goes; the newest stays however old it is. */
    private void letGo(Instant now) {
        int days = Math.max(1, days());
        all().stream()
                .skip(1)
                .filter(k -> k.at().isBefore(now.minus(Duration.ofDays(days))))
                .forEach(k -> delete(k.file()));
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** For how many days they are kept; 0: none is taken by itself. */
    public int days() {
        return catalogues.find().map(c -> c.keeping().backupDays()).orElse(0);
    }

    /** Whether one is taken each night. */
    boolean areTaken() {
        return !demo && days() > 0;
    }

    /** Takes the night's one, if it is not there. */
    @Scheduled(fixedDelayString = "${gastfreund.jobs.backup:10m}")
    public void run() {
        boolean due = areTaken() && isDue(clock.instant());
        rounds.each(Kind.BACKUP, due ? List.of(new Entry("night", this::take)) : List.of());
    }

    private boolean isDue(Instant now) {
        var zone = catalogues.catalogue().zone();
        LocalDateTime local = zone.localOf(now.getEpochSecond() / 60);
        LocalDateTime night = local.toLocalTime().isBefore(NIGHT)
                ? local.toLocalDate().minusDays(1).atTime(NIGHT)
                : local.toLocalDate().atTime(NIGHT);
        Instant since = Instant.ofEpochSecond(zone.minuteOf(night) * 60);
        return all().stream().noneMatch(k -> !k.at().isBefore(since));
    }
}
