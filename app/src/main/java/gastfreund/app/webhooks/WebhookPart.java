package gastfreund.app.webhooks;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whether other programs can be told what happens. */
@Component
class WebhookPart implements Part {

    private static final Duration LATE = Duration.ofMinutes(15);
    private static final Duration STUCK = Duration.ofDays(1);

    private final Webhooks webhooks;
    private final Clock clock;

    WebhookPart(Webhooks webhooks, Clock clock) {
        this.webhooks = webhooks;
        this.clock = clock;
    }

    @Override
    public String code() {
        return "webhooks";
    }

    @Override
    public Condition condition() {
        List<Webhook> all = webhooks.all();
        if (all.isEmpty()) {
            return Condition.off();
        }
        List<Webhook> failing =
                all.stream().filter(w -> w.isPaused() || w.failing() != null).toList();
        @Nullable
        Instant since = failing.stream()
                .map(Webhook::failing)
                .filter(Objects::nonNull)
                .min(Comparator.naturalOrder())
                .orElse(null);
        Condition.State state = failing.stream().anyMatch(Webhook::isPaused)
                ? Condition.State.STUCK
                : Condition.state(since, clock.instant(), LATE, STUCK);
        return new Condition(
                state,
                failing.size(),
                since,
                failing.stream().map(w -> URI.create(w.address()).getHost()).toList());
    }
}
