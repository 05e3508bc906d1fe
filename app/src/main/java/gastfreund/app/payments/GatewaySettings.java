package gastfreund.app.payments;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The practice gateway.
 *
 * @param url where its API is
 * @param key what we prove ourselves with
 * @param secret what its notifications are signed with
 * @param patience how long any gateway may take to answer
 */
@ConfigurationProperties("gastfreund.gateway")
record GatewaySettings(
        @DefaultValue("http://localhost:8081") String url,
        @DefaultValue("practice-key") String key,
        @DefaultValue("practice-secret") String secret,
        @DefaultValue("10s") Duration patience) {}
