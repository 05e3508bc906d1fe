package gastfreund.app.webhooks;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How other programs are told what happens.
 *
 * @param privateAddresses whether addresses within the server's own network, and without TLS, may be told, too
 * @param patience how long an answer may take
 */
@ConfigurationProperties("gastfreund.webhooks")
record WebhookSettings(@DefaultValue("false") boolean privateAddresses, @DefaultValue("10s") Duration patience) {}
