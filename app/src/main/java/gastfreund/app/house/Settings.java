package gastfreund.app.house;

import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What is set from outside.
 *
 * @param home the folder of all data
 * @param address how guests reach this application; empty: this machine at the port in use
 * @param demo the folder of the demo house to start with; empty: none
 * @param mailFrom the sender of all mail
 */
@ConfigurationProperties("gastfreund")
public record Settings(
        @DefaultValue("data") String home,
        @DefaultValue("") String address,
        @DefaultValue("") String demo,
        @DefaultValue("house@gastfreund.example") String mailFrom,
        @DefaultValue Gateway gateway,
        @DefaultValue Limits limits,
        @DefaultValue Door door) {

    /** The folder of all data. */
    public Path folder() {
        return Path.of(home);
    }

    /** The folder of the demo house; empty: none. */
    public Optional<Path> demoFolder() {
        return demo.isBlank() ? Optional.empty() : Optional.of(Path.of(demo));
    }

    /**
     * The practice gateway.
     *
     * @param url where its API is
     * @param key what we prove ourselves with
     * @param secret what its notifications are signed with
     */
    public record Gateway(
            @DefaultValue("http://localhost:8081") String url,
            @DefaultValue("practice-key") String key,
            @DefaultValue("practice-secret") String secret,
            @DefaultValue("10s") Duration patience) {}

    /** How often one address may do what costs us something, each per minute. */
    public record Limits(
            @DefaultValue("10") int signIns,
            @DefaultValue("20") int checkouts,
            @DefaultValue("120") int holds,
            @DefaultValue("30") int codes) {}

    /**
     * What keeps programs from ordering.
     *
     * @param bits how many zero bits a proof of work begins with
     * @param pause how long a page without scripts must have been open
     */
    public record Door(@DefaultValue("14") int bits, @DefaultValue("15s") Duration pause) {}
}
