package gastfreund.app;

import gastfreund.app.backups.BackupCommands;
import gastfreund.app.setup.PreparedStart;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.aot.AotDetector;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the application, or does what can be done without it. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class GastfreundApplication {

    private static final String PORT = "GASTFREUND_MANAGEMENT_PORT";

    public static void main(String[] args) {
        if (BackupCommands.areAsked(args)) {
            System.exit(BackupCommands.run(List.of(args), System.getenv(), System.out, Clock.systemUTC()));
        }
        if (ExportCommand.isAsked(args)) {
            putTogetherAnew();
            System.exit(ExportCommand.run(List.of(args), System.getenv(), System.out, Clock.systemUTC()));
        }
        if (Stream.of(System.getenv(PORT), System.getProperty(PORT)).anyMatch(p -> p != null && !p.isBlank())) {
            putTogetherAnew();
        }
        SpringApplication application = new SpringApplication(GastfreundApplication.class);
        if (AotDetector.useGeneratedArtifacts()) {
            application.setApplicationContextFactory(type -> new PreparedStart());
        }
        application.run(args);
    }

    /** What a build has prepared is the usual: all that is done by itself, and no port for programs that watch. */
    private static void putTogetherAnew() {
        System.setProperty(AotDetector.AOT_ENABLED, "false");
    }
}
