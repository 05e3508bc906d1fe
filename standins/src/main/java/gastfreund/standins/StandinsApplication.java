package gastfreund.standins;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts all stand-ins. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class StandinsApplication {

    @Bean
    Clock clock(StandinsSettings settings) {
        return settings.clock();
    }

    public static void main(String[] args) {
        SpringApplication.run(StandinsApplication.class, args);
    }
}
