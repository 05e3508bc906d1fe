package gastfreund.app.running;

import gastfreund.app.rounds.Condition;
import gastfreund.app.rounds.Part;
import gastfreund.app.strangers.ThisMachine;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.time.Duration;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Conditional;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.web.SecurityFilterChain;

/** The port on which programs of this machine see how the house goes: none, where none is set. */
@Configuration
@Conditional(Watched.class)
class Watching {

    /** Whoever is on this machine may look; a page that a browser there shows, under whatever name, may not. */
    @Bean
    @Order(0)
    SecurityFilterChain watchers(HttpSecurity http) throws Exception {
        http.securityMatcher(EndpointRequest.toAnyEndpoint())
                .csrf(AbstractHttpConfigurer::disable)
                .authorizeHttpRequests(requests -> requests.anyRequest()
                        .access((who, asked) -> new AuthorizationDecision(ThisMachine.isNamed(asked.getRequest()))));
        return http.build();
    }

    /** What waits, since when, and how bad that is, for each part of the house. */
    @Bean
    static MeterBinder conditions(Running running, Clock clock) {
        return registry -> {
            for (Part part : running.parts()) {
                Gauge.builder("gastfreund.waiting", part, p -> p.condition().waiting())
                        .description("how many things wait")
                        .tag("part", part.code())
                        .register(registry);
                Gauge.builder("gastfreund.oldest", part, p -> age(p.condition(), clock))
                        .description("how long the first of them has waited, or the last backup is ago")
                        .baseUnit("seconds")
                        .tag("part", part.code())
                        .register(registry);
                Gauge.builder(
                                "gastfreund.condition",
                                part,
                                p -> grade(p.condition().state()))
                        .description("0 good or not there, 1 late, 2 stuck")
                        .tag("part", part.code())
                        .register(registry);
            }
        };
    }

    private static double age(Condition condition, Clock clock) {
        return condition.since() == null
                ? 0
                : Duration.between(condition.since(), clock.instant()).toSeconds();
    }

    private static int grade(Condition.State state) {
        return switch (state) {
            case GOOD, OFF -> 0;
            case LATE -> 1;
            case STUCK -> 2;
        };
    }
}
