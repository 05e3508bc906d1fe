package gastfreund.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The application as it is shipped and as the launcher starts it: taken apart, with an archive of its classes. */
public final class Prepared {

    /** The folder from which it is started: the archive knows its programs by their paths from there. */
    public static final Path ROOT = Path.of(Files.exists(Path.of("gastfreund")) ? "" : "..")
            .toAbsolutePath()
            .normalize();

    private static final Path TARGET = ROOT.resolve("app/target");
    /** The one file that is shipped. */
    public static final Path JAR = TARGET.resolve("app-0.1.0-exec.jar");

    private static final Optional<List<String>> COMMAND = made();

    private Prepared() {}

    /**
     * What starts it.
     *
     * @param options of the machine that runs it, as {@code -Xmx300m}
     * @return empty where what is tested was not built as a whole
     */
    public static Optional<List<String>> command(List<String> options) {
        return COMMAND.map(start -> {
            List<String> all = new ArrayList<>(start);
            all.addAll(options);
            all.addAll(List.of("-jar", "app/target/run/" + JAR.getFileName()));
            return all;
        });
    }

    /** The machine in which the tests run. */
    public static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private static Optional<List<String>> made() {
        try {
            if (!isWhole()) {
                return Optional.empty();
            }
            // Tests run in several machines at once.
            try (FileChannel channel = FileChannel.open(
                            TARGET.resolve("apart.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                    FileLock lock = channel.lock()) {
                int ended = new ProcessBuilder("./gastfreund", "apart")
                        .directory(ROOT.toFile())
                        .inheritIO()
                        .start()
                        .waitFor();
                if (ended != 0 || !lock.isValid()) {
                    throw new IllegalStateException("It could not be taken apart.");
                }
            }
            return Optional.of(List.of(
                    java(),
                    "-XX:SharedArchiveFile=app/target/run/classes.jsa",
                    "-Xlog:disable",
                    "-Xlog:all=error:stderr",
                    "-Dspring.aot.enabled=true",
                    // Tests look for themselves.
                    "-Dgastfreund.warming.rounds=0"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Whether the file is as new as the classes that it was made from. */
    private static boolean isWhole() throws IOException {
        if (Files.notExists(JAR)) {
            return false;
        }
        try (Stream<Path> classes = Files.walk(TARGET.resolve("classes"))) {
            long made = Files.getLastModifiedTime(JAR).toMillis();
            return classes.allMatch(c -> c.toFile().lastModified() <= made);
        }
    }
}
