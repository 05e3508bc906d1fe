package gastfreund.app.storage;

import gastfreund.app.setup.Settings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * The folder with all that the house has: readable for its owner alone, since it holds guests' names and the key. What an
 * earlier version left open is closed at each start.
 */
@Component
public class DataFolder {

    private static final Set<PosixFilePermission> FOLDER = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");

    private final Path folder;

    @Autowired
    DataFolder(Settings settings) throws IOException {
        this(settings.folder());
    }

    public DataFolder(Path path) throws IOException {
        folder = Files.createDirectories(path);
        if (Files.notExists(database())) {
            Files.createFile(database());
        }
        close();
    }

    public Path database() {
        return folder.resolve("house.sqlite");
    }

    public Path key() {
        return folder.resolve("secret.key");
    }

    public Path pictures() {
        return folder.resolve("pictures");
    }

    /** Takes in a copy of a picture. */
    public void takeIn(Path picture) throws IOException {
        closed(Files.createDirectories(pictures()), FOLDER);
        closed(
                Files.copy(picture, pictures().resolve(picture.getFileName()), StandardCopyOption.REPLACE_EXISTING),
                FILE);
    }

    /** Writes a file that nobody else may read, all of it or nothing. */
    public void write(Path file, String content) throws IOException {
        write(file, content.getBytes(StandardCharsets.UTF_8));
    }

    /** The same with bytes. */
    public void write(Path file, byte[] content) throws IOException {
        Path fresh = Files.createTempFile(folder, "new", ".part");
        Files.write(closed(fresh, FILE), content, StandardOpenOption.SYNC);
        Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE);
    }

    private void close() throws IOException {
        List<Path> all;
        try (Stream<Path> found = Files.walk(folder)) {
            all = found.toList();
        }
        for (Path path : all) {
            closed(path, Files.isDirectory(path) ? FOLDER : FILE);
        }
    }

    private static Path closed(Path path, Set<PosixFilePermission> permissions) throws IOException {
        if (path.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(path, permissions);
        }
        return path;
    }
}
