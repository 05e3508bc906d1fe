package gastfreund.app.running;

import java.util.Objects;
import java.util.regex.Pattern;
import org.springframework.boot.autoconfigure.AutoConfigurationImportFilter;
import org.springframework.boot.autoconfigure.AutoConfigurationMetadata;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
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

    private static final Pattern PORT = Pattern.compile("[0-9]{1,5}");

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
        String port = environment.getProperty("management.server.port", "-1");
        if (port.isBlank() || port.equals("-1")) {
            return false;
        }
        if (!PORT.matcher(port).matches() || Integer.parseInt(port) > 65535) {
            throw new WrongPortException("it has to be a number from 1 to 65535, and is “" + port + "”.");
        }
        if (!port.equals("0") && port.equals(environment.getProperty("server.port"))) {
            throw new WrongPortException("it cannot be the port of the pages, " + port + ".");
        }
        return true;
    }

    /** The port for programs that watch cannot be had as it was asked for: the house does not start. */
    static final class WrongPortException extends IllegalArgumentException {

        WrongPortException(String why) {
            super("GASTFREUND_MANAGEMENT_PORT: " + why);
        }
    }

    /** Says it on the console without the program's insides. */
    static final class Said extends AbstractFailureAnalyzer<WrongPortException> {

        @Override
        protected FailureAnalysis analyze(Throwable root, WrongPortException cause) {
            return new FailureAnalysis(cause.getMessage(), "Choose another, or leave it out.", cause);
        }
    }
}
