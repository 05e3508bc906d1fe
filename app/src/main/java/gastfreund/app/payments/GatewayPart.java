package gastfreund.app.payments;

import gastfreund.app.rounds.Backlog;
import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.time.Clock;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** Whether gateways do what they are asked. */
@Component
class GatewayPart implements Part {

    private static final Duration LATE = Duration.ofMinutes(15);
    private static final Duration STUCK = Duration.ofHours(6);

    private final PaymentStore store;
    private final Clock clock;

    GatewayPart(PaymentStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    @Override
    public String code() {
        return "gateways";
    }

    @Override
    public Condition condition() {
        Backlog steps = store.backlog();
        return Condition.waiting(steps.count(), steps.oldest(), clock.instant(), LATE, STUCK);
    }
}
