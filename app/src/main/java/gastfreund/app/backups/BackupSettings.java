package gastfreund.app.backups;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Nightly backups.
 *
 * @param folder where they lie; empty: {@code backups} in the house's folder
 * @param passphrase under which the key is kept in them; empty: it is left out
 */
@ConfigurationProperties("gastfreund.backup")
record BackupSettings(@DefaultValue("") String folder, @DefaultValue("") String passphrase) {}
