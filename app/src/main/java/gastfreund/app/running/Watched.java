package gastfreund.app.running;

import java.util.Objects;
import org.springframework.boot.autoconfigure.AutoConfigurationImportFilter;
import org.springframework.boot.autoconfigure.AutoConfigurationMetadata;
import org.springframework.context.EnvironmentAware;
import org.springframework.context.annotation.Condition;
import org.springframework.context.annotation.ConditionContext;
import org.springframework.core.env.Environment;
import org.springframework.core.type.AnnotatedTypeMetadata;

/**
 * Whether there is a port on which programs see how the house goes. Where there is none, nothing is made and nothing measured for
 * it: that was a tenth of the start.
 */
class Watched implements Condition {

    /** Leaves out what the framework would set up for such a port. */
    static final class Filter implements AutoConfigurationImportFilter, EnvironmentAware {

        private boolean watched;

        @Override
        public void setEnvironment(Environment environment) {
            watched = isWatched(environment);
        }

        @Override
        public boolean[] match(String[] names, AutoConfigurationMetadata metadata) {
            boolean[] kept = new boolean[names.length];
            for (int i = 0; i < names.length; i++) {
                // Spring gives null where another filter has left one out already.
                String name = Objects.requireNonNullElse(names[i], "");
                kept[i] = watched || !isForWatching(name);
            }
            return kept;
        }

        private static boolean isForWatching(String name) {
            return name.startsWith("org.springframework.boot.")
                    && (name.contains(".actuate.")
                            || name.contains(".health.")
                            || name.contains(".metrics.")
                            || name.contains(".micrometer.")
                            || name.endsWith("ObservationAutoConfiguration"));
        }
    }

    @Override
    public boolean matches(ConditionContext context, AnnotatedTypeMetadata metadata) {
        return isWatched(context.getEnvironment());
    }

    private static boolean isWatched(Environment environment) {
        return environment.getProperty("management.server.port", Integer.class, -1) >= 0;
    }
}
