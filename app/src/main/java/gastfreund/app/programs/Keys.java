package gastfreund.app.programs;

import gastfreund.app.journal.Actor;
import gastfreund.app.secrets.Secrets;
import gastfreund.app.secrets.Tokens;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The keys that a house gives to other programs. */
@Service
public class Keys {

    /** So many are shown. */
    private static final int MOST = 100;

    /** How a key begins, so that whoever finds one somewhere knows what it is. */
    private static final String BEGINS = "house-key-";

    private static final int LONGEST = 100;

    /** So long nobody writes down anew that a key was used. */
    private static final Duration ABOUT = Duration.ofMinutes(10);

    private final KeyStore store;
    private final Secrets secrets;
    private final Tokens tokens;
    private final Clock clock;

    Keys(KeyStore store, Secrets secrets, Tokens tokens, Clock clock) {
        this.store = store;
        this.secrets = secrets;
        this.tokens = tokens;
        this.clock = clock;
    }

    /**
     * A program with the key that it is given, which nobody sees again.
     *
     * @param key as it is sent
     */
    public record Made(Program program, String key) {}

    /** Makes a key. */
    @Transactional
    public Made make(String name, Set<Scope> scopes, Actor host) {
        String key = BEGINS + tokens.next();
        Program program = new Program(
                tokens.next(), name, scopes, clock.instant().truncatedTo(ChronoUnit.SECONDS), host.name(), null, null);
        store.insert(program, mark(key));
        return new Made(program, key);
    }

    /** All that were given, the newest first. */
    public List<Program> all() {
        return store.newest(MOST);
    }

    /** Withdraws a key; it is refused from then on. The program, where there was one. */
    @Transactional
    public Optional<Program> end(String id) {
        store.end(id, clock.instant());
        return store.byId(id);
    }

    /** The program that sent a key; empty where it is none that holds. */
    Optional<Program> of(String key) {
        return key.startsWith(BEGINS) && key.length() <= LONGEST ? store.byMark(mark(key)) : Optional.empty();
    }

    /** Notes about when a key was used last. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void noteUse(Program program) {
        store.used(program.id(), clock.instant());
    }

    boolean isNoted(Program program) {
        Instant used = program.used();
        return used != null && used.plus(ABOUT).isAfter(clock.instant());
    }

    private String mark(String key) {
        return secrets.mark("program", key);
    }
}
