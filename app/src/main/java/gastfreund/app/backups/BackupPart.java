package gastfreund.app.backups;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether the house is kept each night. */
@Component
class BackupPart implements Part {

    private static final Duration LATE = Duration.ofHours(28);
    private static final Duration STUCK = Duration.ofHours(76);

    private final Backups backups;
    private final Clock clock;

    BackupPart(Backups backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    @Override
    public String code() {
        return "backup";
    }

    @Override
    public Condition condition() {
        @Nullable
        Instant last = backups.all().stream().findFirst().map(Backups.Kept::at).orElse(null);
        if (!backups.areTaken()) {
            return new Condition(Condition.State.OFF, 0, last, List.of());
        }
        Condition.State state =
                last == null ? Condition.State.LATE : Condition.state(last, clock.instant(), LATE, STUCK);
        return new Condition(state, 0, last, List.of());
    }
}
