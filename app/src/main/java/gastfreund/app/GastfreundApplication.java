package gastfreund.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the application. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class GastfreundApplication {

    public static void main(String[] args) {
        SpringApplication.run(GastfreundApplication.class, args);
    }
}
