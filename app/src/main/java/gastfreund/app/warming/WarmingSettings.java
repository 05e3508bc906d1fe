package gastfreund.app.warming;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How the house gets warm after a start.
 *
 * @param rounds how often it looks at each of its pages; 0: it does not
 * @param ends whether the application ends when it is warm, as for an archive of its classes
 */
@ConfigurationProperties("gastfreund.warming")
record WarmingSettings(@DefaultValue("6") int rounds, @DefaultValue("false") boolean ends) {}
