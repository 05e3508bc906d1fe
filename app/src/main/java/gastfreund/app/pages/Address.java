package gastfreund.app.pages;

import gastfreund.app.setup.Settings;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Optional;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * How this application is reached from outside. Where nobody has set it, pages take the address at which they were asked
 * for, which is its reader's own. Letters must not: a stranger could have a link of their own sent to somebody else. They
 * keep a mark until the address is set.
 */
@Component
public class Address {

    private static final String NOT_YET = "https://address.invalid";

    private final Optional<String> set;
    private final boolean demo;
    private volatile int port;

    Address(AddressSettings said, Settings settings) {
        this.set = Optional.of(said.address().strip()).filter(a -> !a.isEmpty()).map(Address::withoutSlashes);
        this.demo = settings.isDemo();
    }

    private static String withoutSlashes(String address) {
        int end = address.length();
        while (end > 0 && address.charAt(end - 1) == '/') {
            end--;
        }
        return address.substring(0, end);
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        if (event.getApplicationContext().getServerNamespace() == null) {
            port = event.getWebServer().getPort();
        }
    }

    /** On which this application listens, whatever stands before it. */
    public int port() {
        return port;
    }

    /** The address that was set; empty: none was. */
    public Optional<String> set() {
        return set;
    }

    /** The path under which the house lies; empty: at the root of its host. */
    public String path() {
        return set.map(a -> URI.create(a).getRawPath()).orElse("");
    }

    /** Whether letters can lead here. */
    public boolean canBeWritten() {
        return set.isPresent() || demo;
    }

    /** The whole address of a path that begins with a slash, for pages. */
    public String of(String path) {
        return set.or(Address::asked).orElseGet(this::here) + path;
    }

    /** The whole address of a path under which the page that is asked for is mounted, in somebody's frame perhaps. */
    public String here(String path) {
        String mount = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
                ? attributes.getRequest().getContextPath()
                : "";
        String base = path();
        return of((mount.startsWith(base) ? mount.substring(base.length()) : "") + path);
    }

    /** The whole address of a path that begins with a slash, for letters. */
    public String inLetters(String path) {
        return set.orElseGet(() -> demo ? here() : NOT_YET) + path;
    }

    /** A letter's text with the address that was set since it was written. */
    public String completed(String text) {
        return set.map(a -> text.replace(NOT_YET, a)).orElse(text);
    }

    private String here() {
        return "http://localhost:" + port;
    }

    private static Optional<String> asked() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes)) {
            return Optional.empty();
        }
        HttpServletRequest request = attributes.getRequest();
        boolean usual = request.getServerPort() == (request.isSecure() ? 443 : 80);
        return Optional.of(
                request.getScheme() + "://" + request.getServerName() + (usual ? "" : ":" + request.getServerPort()));
    }
}
