package gastfreund.app;

import gastfreund.app.backups.Backup;
import gastfreund.app.backups.UnfitBackupException;
import gastfreund.app.export.HouseExport;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * {@code export FOLDER}: everything as open files. It is read from a copy, on which nothing is done that the house itself does:
 * no mail goes out of it, and no money is moved.
 */
final class ExportCommand {

    private ExportCommand() {}

    static boolean isAsked(String... arguments) {
        return arguments.length > 0 && arguments[0].equals("export");
    }

    /**
     * Does what is asked.
     *
     * @return 0, or another number where it could not be done
     */
    static int run(List<String> arguments, Map<String, String> settings, PrintStream out, Clock clock) {
        if (arguments.size() != 2) {
            out.println("Say one folder: gastfreund export FOLDER");
            return 2;
        }
        Path folder = Path.of(arguments.get(1));
        Path home = Path.of(settings.getOrDefault("GASTFREUND_HOME", "data"));
        try {
            Files.createDirectories(folder);
            try (Stream<Path> inside = Files.list(folder)) {
                if (inside.findAny().isPresent()) {
                    out.println("There is something in " + folder + " already: say an empty folder.");
                    return 1;
                }
            }
            Path copy = Files.createTempDirectory("gastfreund-export");
            try {
                HouseExport.Written written = export(home, copy, folder, clock);
                out.printf(
                        "%s: the house, %d tables, %d documents, %d pictures%n",
                        folder, written.tables(), written.documents(), written.pictures());
                return 0;
            } finally {
                remove(copy);
            }
        } catch (UnfitBackupException e) {
            out.println(e.getMessage());
            return 1;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static HouseExport.Written export(Path home, Path copy, Path folder, Clock clock) {
        Path backup = copy.resolve("house.zip");
        Path house = copy.resolve("house");
        Backup.write(home, backup, Optional.empty(), clock.instant());
        Backup.restore(backup, house, Optional.empty(), false, clock.instant());
        try (ConfigurableApplicationContext app = SpringApplication.run(
                GastfreundApplication.class,
                "--gastfreund.home=" + house,
                "--gastfreund.demo=",
                "--gastfreund.jobs.on=false",
                "--gastfreund.warming.rounds=0",
                "--server.port=0",
                "--server.address=127.0.0.1",
                "--spring.main.banner-mode=off",
                "--logging.level.root=warn")) {
            return app.getBean(HouseExport.class).into(folder);
        }
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path one : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(one);
            }
        }
    }
}
