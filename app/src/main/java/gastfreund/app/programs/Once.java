package gastfreund.app.programs;

import gastfreund.app.secrets.Secrets;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Requests of programs that change something are carried out once: whoever did not hear the answer asks again with the same
 * key, and gets it. The answer is kept in the transaction of what it tells of, so that neither is without the other. What
 * was refused has changed nothing, and is tried anew.
 */
@Component
public class Once {

    /** The header with the key of a request. */
    public static final String HEADER = "Idempotency-Key";

    /** So long an answer is kept. */
    static final Duration KEPT = Duration.ofDays(2);

    private static final int LONGEST = 200;

    /** @param body as JSON */
    record Answer(int status, String body) {}

    private final OnceStore store;
    private final Secrets secrets;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Once(OnceStore store, Secrets secrets, TransactionTemplate transaction, Clock clock) {
        this.store = store;
        this.secrets = secrets;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * Carries out a request, or says again what it was answered.
     *
     * @param repeat the key that its program gave it; null: none
     * @param request what is asked for, as a whole
     * @param status of the answer when it is done
     * @throws Refused where it has no key, the key was that of another request, or what is asked for is refused
     */
    Answer answer(Program program, @Nullable String repeat, String request, int status, Supplier<JsonNode> act) {
        if (repeat == null || repeat.isBlank() || repeat.length() > LONGEST) {
            throw Refused.because(Refused.Why.NO_REPEAT_KEY);
        }
        String asked = secrets.mark("request", request);
        return Objects.requireNonNull(transaction.execute(t -> {
            Optional<OnceStore.Given> given = store.find(program.id(), repeat);
            if (given.isPresent() && !given.get().asked().equals(asked)) {
                throw Refused.because(Refused.Why.REPEATED_OTHERWISE);
            }
            return given.map(OnceStore.Given::answer).orElseGet(() -> {
                Answer answer = new Answer(status, act.get().toString());
                store.forgetBefore(clock.instant().minus(KEPT));
                store.insert(program.id(), repeat, new OnceStore.Given(asked, answer), clock.instant());
                return answer;
            });
        }));
    }
}
