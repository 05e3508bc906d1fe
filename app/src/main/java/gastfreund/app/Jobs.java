package gastfreund.app;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** What is done by itself: not in a copy of a house that is only read. */
@Configuration
@EnableScheduling
@ConditionalOnProperty(name = "gastfreund.jobs.on", havingValue = "true", matchIfMissing = true)
class Jobs {}
