package gastfreund.app;

import gastfreund.app.backups.BackupCommands;
import java.time.Clock;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the application, or does what can be done without it. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class GastfreundApplication {

    public static void main(String[] args) {
        if (BackupCommands.areAsked(args)) {
            System.exit(BackupCommands.run(List.of(args), System.getenv(), System.out, Clock.systemUTC()));
        }
        if (ExportCommand.isAsked(args)) {
            System.exit(ExportCommand.run(List.of(args), System.getenv(), System.out, Clock.systemUTC()));
        }
        SpringApplication.run(GastfreundApplication.class, args);
    }
}
