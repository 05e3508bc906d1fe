package gastfreund.app.visits;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The geocoder.
 *
 * @param url of its search; blank: there is none
 * @param key what we prove ourselves with; blank: it wants nothing
 * @param patience how long it may take to answer
 */
@ConfigurationProperties("gastfreund.geocoder")
record GeocoderSettings(
        @DefaultValue("") String url, @DefaultValue("") String key, @DefaultValue("4s") Duration patience) {}
