package gastfreund.standins;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param smtpPort where mail is taken in; 0 picks a free port
 * @param gatewayKey what a caller of the gateway's API proves itself with
 * @param gatewaySecret what notifications are signed with
 * @param payWithin how long a guest may take to pay
 */
@ConfigurationProperties("standins")
public record StandinsSettings(
        @DefaultValue("8082") int smtpPort,
        @DefaultValue("practice-key") String gatewayKey,
        @DefaultValue("practice-secret") String gatewaySecret,
        @DefaultValue("20m") Duration payWithin) {}
