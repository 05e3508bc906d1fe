package gastfreund.app.strangers;

import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How strangers are met.
 *
 * @param proxies the addresses whose word is taken for where a request comes from; a star stands for any ending
 */
@ConfigurationProperties("gastfreund")
public record StrangerSettings(
        @DefaultValue List<String> proxies, @DefaultValue Limits limits, @DefaultValue Door door) {

    /** How often one visitor may do what costs us something, each per minute. */
    public record Limits(
            @DefaultValue("10") int signIns,
            @DefaultValue("20") int checkouts,
            @DefaultValue("120") int holds,
            @DefaultValue("30") int codes,
            @DefaultValue("20") int pictures,
            @DefaultValue("600") int notifications,
            @DefaultValue("600") int programs) {}

    /**
     * What keeps programs from ordering.
     *
     * @param bits how many zero bits a proof of work begins with
     * @param pause how long a page without scripts must have been open
     */
    public record Door(@DefaultValue("14") int bits, @DefaultValue("15s") Duration pause) {}
}
