package gastfreund.app.programs;

import gastfreund.app.journal.Actor;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Another program that has a key of the house.
 *
 * @param name what the house calls it
 * @param madeBy the host who made the key
 * @param used about when it was used last; null: never
 * @param ended when the key was withdrawn; null: it was not
 */
public record Program(
        String id,
        String name,
        Set<Scope> scopes,
        Instant made,
        String madeBy,
        @Nullable Instant used,
        @Nullable Instant ended) {

    public Program {
        scopes = Set.copyOf(scopes);
    }

    public boolean may(Scope scope) {
        return scopes.contains(scope);
    }

    boolean isEnded() {
        return ended != null;
    }

    public Actor actor() {
        return Actor.program(name);
    }
}
