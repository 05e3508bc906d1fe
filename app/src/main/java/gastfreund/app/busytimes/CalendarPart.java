package gastfreund.app.busytimes;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether calendars that busy times are read from can be read. */
@Component
class CalendarPart implements Part {

    private static final Duration LATE = Duration.ofHours(1);
    private static final Duration STUCK = Duration.ofDays(2);

    private final BusySourceStore store;
    private final Clock clock;

    CalendarPart(BusySourceStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    @Override
    public String code() {
        return "calendars";
    }

    @Override
    public Condition condition() {
        if (store.isEmpty()) {
            return Condition.off();
        }
        List<Source> failing = store.failing();
        @Nullable Instant since = failing.isEmpty() ? null : failing.get(0).failingAt();
        return new Condition(
                Condition.state(since, clock.instant(), LATE, STUCK),
                failing.size(),
                since,
                failing.stream().map(Source::name).toList());
    }
}
