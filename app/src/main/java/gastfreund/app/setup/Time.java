package gastfreund.app.setup;

import java.time.Clock;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock, which everything else is given; the demo's can show another day. */
@Configuration
class Time {

    @Bean
    @ConditionalOnMissingBean
    Clock clock(Settings settings) {
        return Clock.offset(
                Clock.systemUTC(), settings.aheadOf(Clock.systemUTC().instant()));
    }
}
