package gastfreund.app.messages;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The mailbox into which mails come back that could not be delivered, read over IMAP.
 *
 * @param host empty: it is not read
 * @param secure whether the connection is encrypted
 */
@ConfigurationProperties("gastfreund.bounces")
record BounceSettings(
        @DefaultValue("") String host,
        @DefaultValue("993") int port,
        @DefaultValue("") String user,
        @DefaultValue("") String password,
        @DefaultValue("true") boolean secure) {}
