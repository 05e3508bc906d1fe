package gastfreund.app.messages;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The gateway for text messages.
 *
 * @param url where its API is; blank: there is none
 * @param key what we prove ourselves with
 */
@ConfigurationProperties("gastfreund.texts")
record TextSettings(
        @DefaultValue("") String url, @DefaultValue("") String key, @DefaultValue("10s") Duration patience) {}
