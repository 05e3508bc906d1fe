package gastfreund.app.running;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import gastfreund.app.setup.Settings;
import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Component;

/** Whether there is room for what is written. */
@Component
class DiskPart implements Part {

    private static final long MEGABYTE = 1_000_000;
    private static final long LATE = 1_000 * MEGABYTE;
    private static final long STUCK = 100 * MEGABYTE;

    private final Path home;

    DiskPart(Settings settings) {
        this.home = settings.folder();
    }

    @Override
    public String code() {
        return "disk";
    }

    long freeBytes() {
        return home.toFile().getUsableSpace();
    }

    @Override
    public Condition condition() {
        return of(freeBytes());
    }

    static Condition of(long free) {
        Condition.State state =
                free >= LATE ? Condition.State.GOOD : free >= STUCK ? Condition.State.LATE : Condition.State.STUCK;
        return new Condition(state, 0, null, List.of());
    }
}
