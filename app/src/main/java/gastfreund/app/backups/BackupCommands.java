package gastfreund.app.backups;

import java.io.Console;
import java.io.PrintStream;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** {@code backup FILE} and {@code restore FILE [--replace]}: from the command line, without starting the application. */
public final class BackupCommands {

    private static final String BACKUP = "backup";
    private static final String RESTORE = "restore";
    private static final String REPLACE = "--replace";
    private static final String HOME = "GASTFREUND_HOME";
    private static final String PASSPHRASE = "GASTFREUND_PASSPHRASE";
    private static final double MEGABYTE = 1_000_000;

    private BackupCommands() {}

    /** Whether arguments are one of these commands. */
    public static boolean areAsked(String... arguments) {
        return arguments.length > 0 && List.of(BACKUP, RESTORE).contains(arguments[0]);
    }

    /**
     * Does what is asked.
     *
     * @return 0, or another number where it could not be done
     */
    public static int run(List<String> arguments, Map<String, String> settings, PrintStream out, Clock clock) {
        List<String> files =
                arguments.stream().skip(1).filter(a -> !a.equals(REPLACE)).toList();
        if (files.size() != 1) {
            out.println("Say one file: gastfreund " + arguments.get(0) + " FILE");
            return 2;
        }
        Path home = Path.of(settings.getOrDefault(HOME, "data"));
        Path file = Path.of(files.get(0));
        try {
            if (arguments.get(0).equals(BACKUP)) {
                backup(
                        home,
                        file,
                        passphrase(settings, "A passphrase for the key (none: the key is left out): "),
                        out,
                        clock);
            } else {
                Optional<char[]> passphrase =
                        passphrase(settings, "The passphrase of the key (none: it is left out): ");
                Optional<Path> aside =
                        Backup.restore(file, home, passphrase, arguments.contains(REPLACE), clock.instant());
                out.println("The house is back in " + home + ".");
                aside.ifPresent(a -> out.println("What was there lies in " + a + "."));
            }
            return 0;
        } catch (UnfitBackupException e) {
            out.println(e.getMessage());
            return 1;
        }
    }

    private static void backup(Path home, Path file, Optional<char[]> passphrase, PrintStream out, Clock clock) {
        Backup.Made made = Backup.write(home, file, passphrase, clock.instant());
        out.printf("%s, %.1f MB%n", made.file(), made.bytes() / MEGABYTE);
        if (!made.withKey()) {
            out.println("Without the key: what is encrypted with it (gateways' keys) has to be entered anew elsewhere."
                    + " Set " + PASSPHRASE + " to keep it under a passphrase.");
        }
    }

    private static Optional<char[]> passphrase(Map<String, String> settings, String question) {
        String set = settings.get(PASSPHRASE);
        if (set != null) {
            return Optional.of(set.toCharArray()).filter(p -> p.length > 0);
        }
        Console console = System.console();
        return console == null
                ? Optional.empty()
                : Optional.ofNullable(console.readPassword("%s", question)).filter(p -> p.length > 0);
    }
}
