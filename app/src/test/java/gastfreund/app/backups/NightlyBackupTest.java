package gastfreund.app.backups;

import static org.assertj.core.api.Assertions.assertThat;

import gastfreund.app.DemoHouseTest;
import gastfreund.app.HostBrowser;
import gastfreund.app.catalogue.CatalogueEdits;
import gastfreund.app.catalogue.CatalogueService;
import gastfreund.app.rounds.Rounds;
import gastfreund.app.setup.Settings;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.node.ObjectNode;

/** Each night a backup, kept as long as the house has set; the desk says when the last one was. */
class NightlyBackupTest extends DemoHouseTest {

    @TempDir
    private Path folder;

    @Autowired
    private CatalogueService catalogues;

    @Autowired
    private CatalogueEdits edits;

    @Autowired
    private Rounds rounds;

    @Autowired
    private Settings settings;

    private Backups backups(String passphrase) {
        // The demo takes none by itself: the same house as another's.
        Settings own = new Settings(settings.home(), "", 0, null, Duration.ZERO);
        return new Backups(new BackupSettings(folder.toString(), passphrase), own, catalogues, rounds, clock);
    }

    private void keptFor(int days) {
        edits.change("house", "1", house -> {
            ObjectNode extra = (ObjectNode) house.path("extra");
            extra.putObject("keeping").put("backupDays", days);
        });
    }

    @Test
    void oneIsTakenEachNightAndTheOldOnesGo() {
        keptFor(3);
        for (int night = 0; night < 6; night++) {
            // A key out of a passphrase is made slowly on purpose: the last night's is enough.
            Backups backups = backups(night < 5 ? "" : "two kettles");
            backups.run();
            backups.run();
            clock.moveAhead(Duration.ofDays(1));
        }
        Backups backups = backups("two kettles");
        List<Backups.Kept> kept = backups.all();
        assertThat(kept).hasSize(3);
        assertThat(kept.get(0).at()).isAfter(clock.instant().minus(Duration.ofHours(25)));
        Path home = folder.resolve("back");
        Backup.restore(kept.get(0).file(), home, Optional.of("two kettles".toCharArray()), false, clock.instant());
        assertThat(home.resolve("house.sqlite")).isNotEmptyFile();
        keptFor(0);
        clock.moveAhead(Duration.ofDays(1));
        backups.run();
        assertThat(backups.all()).hasSize(3);
    }

    @Test
    void theDeskSaysWhenTheLastOneWasAndTakesOne() {
        HostBrowser host = new HostBrowser(address(""), somebody());
        host.signIn("okka@quillmere.example", "clay and water");
        assertThat(host.get("/desk/house/files").body()).contains("Backups", "There is none yet.");
        host.post("/desk/house/files/backup", Map.of());
        assertThat(host.get("/desk/house/files").body()).contains("The last one was taken", "The key is not in them");
    }
}
