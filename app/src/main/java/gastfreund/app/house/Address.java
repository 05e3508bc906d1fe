package gastfreund.app.house;

import java.util.Optional;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** How this application is reached from outside: as set, or this machine at the port in use. */
@Component
public class Address {

    private final Optional<String> set;
    private volatile int port;

    Address(Settings settings) {
        this.set = Optional.of(settings.address()).filter(a -> !a.isBlank()).map(a -> a.replaceAll("/+$", ""));
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        if (event.getApplicationContext().getServerNamespace() == null) {
            port = event.getWebServer().getPort();
        }
    }

    /** The whole address of a path that begins with a slash. */
    public String of(String path) {
        return set.orElseGet(() -> "http://localhost:" + port) + path;
    }
}
