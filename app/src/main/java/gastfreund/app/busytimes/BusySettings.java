package gastfreund.app.busytimes;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How calendars of others are read.
 *
 * @param privateAddresses whether addresses within the server's own network may be asked, too
 * @param every how often
 * @param patience how long an answer may take to begin, and to go on
 * @param within how long it may take in all
 */
@ConfigurationProperties("gastfreund.busy")
record BusySettings(
        @DefaultValue("false") boolean privateAddresses,
        @DefaultValue("10m") Duration every,
        @DefaultValue("10s") Duration patience,
        @DefaultValue("60s") Duration within) {}
