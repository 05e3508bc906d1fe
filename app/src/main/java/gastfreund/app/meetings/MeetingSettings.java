package gastfreund.app.meetings;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The meeting service.
 *
 * @param url where its API is; blank: there is none
 * @param key what we prove ourselves with
 * @param patience how long it may take to answer
 */
@ConfigurationProperties("gastfreund.meetings")
record MeetingSettings(
        @DefaultValue("") String url, @DefaultValue("") String key, @DefaultValue("10s") Duration patience) {}
