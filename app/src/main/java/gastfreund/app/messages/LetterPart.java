package gastfreund.app.messages;

import gastfreund.app.rounds.Backlog;
import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Whether letters go out. */
@Component
class LetterPart implements Part {

    private static final Duration LATE = Duration.ofMinutes(15);
    private static final Duration STUCK = Duration.ofHours(3);

    private final OutboxStore store;
    private final Outbox outbox;
    private final Clock clock;

    LetterPart(OutboxStore store, Outbox outbox, Clock clock) {
        this.store = store;
        this.outbox = outbox;
        this.clock = clock;
    }

    @Override
    public String code() {
        return "letters";
    }

    @Override
    public Condition condition() {
        Instant now = clock.instant();
        Backlog mails = store.backlog(now);
        return mails.count() > 0 && !outbox.canSend()
                ? new Condition(Condition.State.STUCK, mails.count(), mails.oldest(), List.of())
                : Condition.waiting(mails.count(), mails.oldest(), now, LATE, STUCK);
    }
}
