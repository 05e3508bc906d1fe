package gastfreund.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.Map;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;

/** Gives a test class a house of its own beside the one that others share, with settings of its own. */
public abstract class OwnHouse implements ApplicationContextInitializer<ConfigurableApplicationContext> {

    /** The settings in which it differs. */
    protected abstract Map<String, Object> settings();

    @Override
    public final void initialize(ConfigurableApplicationContext context) {
        try {
            Map<String, Object> own = new HashMap<>(settings());
            own.putIfAbsent(
                    "gastfreund.home",
                    Files.createTempDirectory("gastfreund-own").toString());
            context.getEnvironment().getPropertySources().addFirst(new MapPropertySource("own house", own));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
