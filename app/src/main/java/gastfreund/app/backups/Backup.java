package gastfreund.app.backups;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.DigestInputStream;
import java.security.DigestOutputStream;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.Enumeration;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A backup of a house's folder: one ZIP with its file as it was at one moment, its pictures, its key under a passphrase where one
 * is given, and a list of all with their SHA-256 ({@code docs/running.md}).
 */
public final class Backup {

    static final String FORMAT = "gastfreund-backup/1";

    private static final String LIST = "backup.json";
    private static final String DATABASE = "house.sqlite";
    private static final String KEY = "secret.key";
    private static final String SEALED_KEY = "secret.key.sealed";
    private static final String PICTURES = "pictures/";
    private static final Pattern NAME =
            Pattern.compile("backup\\.json|house\\.sqlite|secret\\.key\\.sealed|pictures/[\\w-][\\w.-]{0,150}");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * A backup that was made.
     *
     * @param bytes how long it is
     * @param withKey whether the house's key is in it
     */
    public record Made(Path file, Instant at, long bytes, boolean withKey) {}

    private Backup() {}

    /**
     * Takes one, while the house is used perhaps; a file is there when it is whole, or not at all.
     *
     * @param home the house's folder
     * @param passphrase under which the key is kept; empty: the key is left out
     * @throws UnfitBackupException where there is no house in the folder
     */
    public static Made write(Path home, Path file, Optional<char[]> passphrase, Instant now) {
        Path database = home.resolve(DATABASE);
        if (Files.notExists(database)) {
            throw new UnfitBackupException("There is no house in " + home + ".");
        }
        Path folder = Optional.ofNullable(file.toAbsolutePath().getParent()).orElseThrow();
        try {
            Files.createDirectories(folder);
            Path copy = Files.createTempFile(folder, "house", ".part");
            Path whole = Files.createTempFile(folder, "backup", ".part");
            try {
                BackupStore.copy(database, copy);
                zip(home, copy, whole, passphrase, now);
                Files.move(whole, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } finally {
                Files.deleteIfExists(copy);
                Files.deleteIfExists(whole);
            }
            return new Made(file, now, Files.size(file), passphrase.isPresent());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void zip(Path home, Path copy, Path whole, Optional<char[]> passphrase, Instant now)
            throws IOException {
        Map<String, String> sums = new TreeMap<>();
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(whole))) {
            try (InputStream in = Files.newInputStream(copy)) {
                put(out, DATABASE, in, sums);
            }
            for (Path picture : pictures(home)) {
                try (InputStream in = Files.newInputStream(picture)) {
                    put(out, PICTURES + picture.getFileName(), in, sums);
                }
            }
            Path key = home.resolve(KEY);
            if (passphrase.isPresent() && Files.exists(key)) {
                byte[] sealed = KeySeal.sealed(Files.readAllBytes(key), passphrase.get());
                put(out, SEALED_KEY, new java.io.ByteArrayInputStream(sealed), sums);
            }
            ObjectNode list = JsonNodeFactory.instance.objectNode();
            list.put("format", FORMAT)
                    .put("made", now.truncatedTo(ChronoUnit.SECONDS).toString());
            ObjectNode files = list.putObject("files");
            sums.forEach(files::put);
            out.putNextEntry(new ZipEntry(LIST));
            out.write(JSON.writerWithDefaultPrettyPrinter()
                    .writeValueAsString(list)
                    .getBytes(StandardCharsets.UTF_8));
            out.closeEntry();
        }
    }

    private static List<Path> pictures(Path home) throws IOException {
        Path folder = home.resolve(PICTURES);
        if (Files.notExists(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(Files::isRegularFile)
                    .filter(p -> NAME.matcher(PICTURES + p.getFileName()).matches())
                    .sorted()
                    .toList();
        }
    }

    private static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String hex(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    private static void put(ZipOutputStream out, String name, InputStream in, Map<String, String> sums)
            throws IOException {
        out.putNextEntry(new ZipEntry(name));
        DigestInputStream counted = new DigestInputStream(in, digest());
        counted.transferTo(out);
        out.closeEntry();
        sums.put(name, hex(counted.getMessageDigest()));
    }

    /**
     * Puts one back into a folder. What the folder has of a house is laid aside, never overwritten.
     *
     * @param passphrase of its key; empty: the key is left out, and the folder's own stays
     * @param replace whether a house that is there may be laid aside
     * @return where that was laid; empty: there was none
     * @throws UnfitBackupException where it is no whole backup, the passphrase is another, the folder has a house that is not to be
     *     replaced, or one that runs
     */
    public static Optional<Path> restore(
            Path file, Path home, Optional<char[]> passphrase, boolean replace, Instant now) {
        try {
            Files.createDirectories(home);
            Path database = home.resolve(DATABASE);
            boolean there = Files.exists(database) && Files.size(database) > 0;
            if (there && !replace) {
                throw new UnfitBackupException("There is a house in " + home + " already.");
            }
            if (there && BackupStore.isUsed(database)) {
                throw new UnfitBackupException("The house in " + home + " is running. Stop it first.");
            }
            Path fresh = Files.createTempDirectory(home, "restoring");
            try {
                unzip(file, fresh);
                Path sealed = fresh.resolve(SEALED_KEY);
                if (Files.exists(sealed) && passphrase.isPresent()) {
                    write(fresh.resolve(KEY), KeySeal.opened(Files.readAllBytes(sealed), passphrase.get()));
                }
                Files.deleteIfExists(sealed);
                List<String> faults = BackupStore.faults(fresh.resolve(DATABASE));
                if (!faults.isEmpty()) {
                    throw new UnfitBackupException("The house in this backup is not whole: " + faults.get(0));
                }
                Path key = home.resolve(KEY);
                if (Files.notExists(fresh.resolve(KEY)) && Files.exists(key)) {
                    // The key that the house has here may well be its own: what it cannot read is marked as lost.
                    write(fresh.resolve(KEY), Files.readAllBytes(key));
                }
                Optional<Path> aside = there ? Optional.of(layAside(home, now)) : Optional.empty();
                moveAll(fresh, home);
                return aside;
            } finally {
                remove(fresh);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void write(Path file, byte[] content) throws IOException {
        Files.write(file, content);
        close(file, "rw-------");
    }

    /** As {@link gastfreund.app.storage.DataFolder} closes what it has. */
    private static void close(Path path, String permissions) throws IOException {
        if (path.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        }
    }

    private static void unzip(Path file, Path to) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            JsonNode sums = list(zip).path("files");
            Map<String, String> found = new TreeMap<>();
            Enumeration<? extends ZipEntry> entries = zip.entries();
            while (entries.hasMoreElements()) {
                ZipEntry entry = entries.nextElement();
                if (!NAME.matcher(entry.getName()).matches()) {
                    throw new UnfitBackupException("This is no backup: it has " + entry.getName() + ".");
                }
                if (!entry.getName().equals(LIST)) {
                    found.put(entry.getName(), unzipped(zip, entry, to.resolve(entry.getName())));
                }
            }
            Map<String, String> listed = new TreeMap<>();
            sums.properties().forEach(e -> listed.put(e.getKey(), e.getValue().asString("")));
            if (!listed.equals(found) || !found.containsKey(DATABASE)) {
                throw new UnfitBackupException("This backup is not whole: what is in it is not what it lists.");
            }
        } catch (ZipException e) {
            throw new UnfitBackupException("This is no backup.", e);
        }
    }

    private static JsonNode list(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry(LIST);
        if (entry == null) {
            throw new UnfitBackupException("This is no backup: it lists nothing.");
        }
        try (InputStream in = zip.getInputStream(entry)) {
            JsonNode list = JSON.readTree(in.readAllBytes());
            if (!FORMAT.equals(list.path("format").asString(""))) {
                throw new UnfitBackupException("This is no backup of a kind that is known here.");
            }
            return list;
        } catch (JacksonException e) {
            throw new UnfitBackupException("This is no backup: its list cannot be read.", e);
        }
    }

    private static String unzipped(ZipFile zip, ZipEntry entry, Path to) throws IOException {
        close(Files.createDirectories(Optional.ofNullable(to.getParent()).orElseThrow()), "rwx------");
        MessageDigest digest = digest();
        try (InputStream in = zip.getInputStream(entry);
                OutputStream out = new DigestOutputStream(Files.newOutputStream(to), digest)) {
            in.transferTo(out);
        }
        close(to, "rw-------");
        return hex(digest);
    }

    /** What belongs to a house, with what SQLite lays beside its file. */
    private static final List<String> OWN = List.of(DATABASE, DATABASE + "-wal", DATABASE + "-shm", KEY, "pictures");

    private static Path layAside(Path home, Instant now) throws IOException {
        String when = now.truncatedTo(ChronoUnit.SECONDS).toString().replace(":", "");
        Path aside = Files.createDirectory(home.resolve("before-" + when));
        for (String name : OWN) {
            Path one = home.resolve(name);
            if (Files.exists(one)) {
                Files.move(one, aside.resolve(name));
            }
        }
        return aside;
    }

    private static void moveAll(Path from, Path to) throws IOException {
        for (String name : OWN) {
            Path one = from.resolve(name);
            if (Files.exists(one)) {
                Files.move(one, to.resolve(name), StandardCopyOption.REPLACE_EXISTING);
            }
        }
    }

    private static void remove(Path folder) throws IOException {
        List<Path> all;
        try (Stream<Path> found = Files.walk(folder)) {
            all = found.sorted(Comparator.reverseOrder()).toList();
        }
        for (Path path : all) {
            Files.delete(path);
        }
    }
}
